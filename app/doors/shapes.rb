# frozen_string_literal: true

module App
  module Doors
    # What the form of a new studio sends.
    module Shapes
      STUDIO = { studio: :text, time_zone: :text, kind: :text, email: :text, name: :text, password: :text }.freeze
    end
  end
end
