# frozen_string_literal: true

module App
  module Room
    # What the room sends.
    module Shapes
      EVENING = { room: :text }.freeze
      ENTRIES = { entries: :records }.freeze
    end
  end
end
