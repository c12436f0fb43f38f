# frozen_string_literal: true

module Core
  module Room
    # What the rest of an evening comes to, should a slot end then: worked out before, so that a device without a
    # network only looks it up. Minute by minute for the slot that runs, in steps for those that come after it.
    class Outlook
      # minute: at which the slot ends; starts: {slot id => minute at which it then begins}; off: {slot id => minutes
      # lost}; clash: ids of slots whose people are then called elsewhere; cuts: [ReCuts::Cut].
      Outcome = Struct.new(:minute, :starts, :off, :clash, :cuts, keyword_init: true)
      # Minutes behind the evening's end up to which it is told, and those from one to the next for slots still ahead.
      BEYOND = 20
      STEP = 5

      def initialize(timetable)
        @timetable = timetable
      end

      # {slot id => [Outcome], from its planned end on} of the slot that runs and of each that comes after it.
      def all
        open = @timetable.lines.select { |line| %i[running ahead].include?(line.state) }
        open.to_h { |line| [line.slot.id, outcomes(line)] }
      end

      private

      def outcomes(line)
        last = [@timetable.ends + BEYOND, line.finish].max
        (line.finish..last).step(line.state == :running ? 1 : STEP).map { |minute| outcome(line, minute) }
      end

      def outcome(line, minute)
        after = @timetable.after(*begun(line), step(line, "end", minute), now: minute)
        Outcome.new(
          minute:,
          starts: after.starts,
          off: after.off.to_h { |each| [each.slot.id, each.lost] },
          clash: after.lines.select(&:clash).map { |each| each.slot.id },
          cuts: ReCuts.new(after).all
        )
      end

      # Later slots are looked at as if they began when they now would.
      def begun(line) = line.state == :ahead ? [step(line, "begin", line.start)] : []
      def step(line, kind, minute) = Timetable::Step.new(kind:, slot: line.slot.id, minute:)
    end
  end
end
