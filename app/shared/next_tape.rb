# frozen_string_literal: true

module App
  module Shared
    # Which tape the next choreographer of a studio gets.
    module NextTape
      def self.next_free(studio)
        taken = studio.people.choreographers.pluck(:tape)
        all = (1..Records::Person::TAPES).to_a
        (all - taken).first || all.min_by { |tape| [taken.count(tape), tape] }
      end
    end
  end
end
