# frozen_string_literal: true

module App
  module Learning
    # What a tick sends: one cell of a form, or cells of a script with its own key.
    module Shapes
      TICKS = {
        cells: :texts,
        person: :text,
        item: :text,
        rung: :whole,
        kind: :text,
        client: :text
      }.freeze
    end
  end
end
