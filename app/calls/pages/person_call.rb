# frozen_string_literal: true

module App
  module Calls
    module Pages
      # When one person is called to a rehearsal and released. A dancer who comes after the warm-up comes that
      # much earlier and warms up alone.
      class PersonCall
        attr_reader :person

        # slots: this person's own; opening: when the rehearsal starts; warm_up: minutes.
        def initialize(person, slots, opening:, warm_up:)
          @person = person
          @slots = slots
          @opening = opening
          @warm_up = warm_up
        end

        def arrive = [alone? ? first - @warm_up : @slots.map(&:start_minute).min, @opening].max
        def release = @slots.map(&:end_minute).max
        def alone? = dances? && @slots.none? { |slot| slot.kind == "warm_up" }

        private

        def first = (beside_frames.presence || @slots).map(&:start_minute).min
        def beside_frames = @slots.reject(&:frame?)

        def dances?
          @slots
            .flat_map { |slot| slot.slot_people.to_a }
            .any? { |called| called.person_id == person.id && called.role == "dancer" }
        end
      end
    end
  end
end
