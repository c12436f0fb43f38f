# frozen_string_literal: true

module App
  module Reading
    # When people are called to a rehearsal and released, from the slots they were told.
    class PersonCalls
      # alone: whether they warm up by themselves; times in minutes of the day.
      Call = Struct.new(:person, :arrive, :release, :alone, keyword_init: true) do
        alias_method :alone?, :alone
      end

      # slots: all of the rehearsal.
      def initialize(rehearsal, slots)
        @rehearsal = rehearsal
        @slots = slots
      end

      # roles: {slot id => "dancer" or "teacher"} of the slots one person is called to. A Call, or nil for no slot.
      def of(person, roles)
        own = @slots.select { |slot| roles.key?(slot.id) }
        return if own.empty?

        around, work = own.partition(&:warm_up?)
        call = Core::Planning::PersonCall.new(spans(work), warm_ups: spans(around), **facts(around, roles))
        Call.new(person:, arrive: call.arrive, release: call.release, alone: call.alone?)
      end

      private

      def spans(slots) = slots.map { |slot| [slot.start_minute, slot.end_minute] }

      def facts(around, roles)
        {
          opening: @rehearsal.start_minute,
          warm_up: @slots.find { |slot| slot.kind == "warm_up" }&.minutes || 0,
          dances: roles.value?("dancer"),
          warmed: around.any? { |slot| slot.kind == "warm_up" }
        }
      end
    end
  end
end
