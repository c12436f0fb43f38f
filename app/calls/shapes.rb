# frozen_string_literal: true

module App
  module Calls
    # What the register sends: who is here, what each slot took, how far each section was taught.
    module Shapes
      REGISTER = { here: :texts, minutes: :table, taught: :table, group: :table, was: :text }.freeze
    end
  end
end
