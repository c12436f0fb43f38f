# frozen_string_literal: true

module Core
  module Room
    # Ways to make the rest of an evening fit, each tried: one slot shortened, one dropped, two exchanged. The best of
    # each kind, and what then still falls off the end.
    class ReCuts
      # kind: "shorten", "drop" or "swap"; step: the Timetable::Step that does it; off: [Timetable::Laid] that still
      # lose minutes; lost: how many; starts: {slot id => minute} of what then lies ahead.
      Cut = Struct.new(:kind, :step, :off, :lost, :starts, keyword_init: true)

      def initialize(timetable)
        @timetable = timetable
      end

      # [Cut], what loses least first; none where everything fits.
      def all
        return [] if @timetable.lost.zero?

        [shortened, swapped, dropped].compact.sort_by.with_index { |cut, i| [cut.lost, i] }
      end

      private

      def ahead = @ahead ||= @timetable.lines.select { |line| line.state == :ahead && line.slot.work }

      def shortened
        best(ahead.filter_map { |line| shorter(line) }) { |cut| cut.lost < @timetable.lost }
      end

      def shorter(line)
        minutes = [line.slot.least, line.minutes - @timetable.lost].max
        step("shorten", line, minutes:) if minutes < line.minutes
      end

      # What is dropped costs what it was planned for; so the shortest that frees enough.
      def dropped
        cuts = ahead.sort_by(&:minutes).map { |line| step("drop", line) }
        best(cuts) { |cut| cut.lost < @timetable.lost }
      end

      # Something else falls off the end: what is now last comes sooner.
      def swapped
        falling = ahead.select { |line| line.lost.positive? }
        pairs = falling.flat_map { |line| (ahead - falling).map { |other| step("swap", other, with: line.slot.id) } }
        best(pairs) { |cut| cut.off.none? { |line| falling.map(&:slot).include?(line.slot) } }
      end

      # The first of those that lose least and call nobody to two places.
      def best(steps, &)
        cuts = steps.filter_map { |step| tried(step) }.select(&)
        cuts.min_by.with_index { |cut, i| [cut.lost, i] }
      end

      def tried(step)
        after = @timetable.after(step)
        return if clashes(after) > clashes(@timetable)

        Cut.new(kind: step.kind, step:, off: after.off, lost: after.lost, starts: after.starts)
      end

      def clashes(timetable) = timetable.lines.count(&:clash)
      def step(kind, line, **more) = Timetable::Step.new(kind:, slot: line.slot.id, **more)
    end
  end
end
