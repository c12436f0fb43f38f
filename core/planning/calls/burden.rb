# frozen_string_literal: true

module Core
  module Planning
    # What a plan asks of one person: to how many rehearsals they come, minutes of work in them, minutes they wait.
    class Burden < Values::Value.of(:who, :calls, :work, :waiting)
      # rows: [[who, rehearsal, start, minutes], …] of work slots => [Burden], the longest waits first.
      def self.all(rows)
        burdens = rows.group_by(&:first).map { |who, own| of(who, own) }
        burdens.sort_by { |each| [-each.waiting, -each.work, each.who.to_s] }
      end

      # The Burden of one person. own: [[who, rehearsal, start, minutes], …] of theirs.
      def self.of(who, own)
        there = own.group_by { |_, rehearsal, _, _| rehearsal }.values
        work = own.sum { |_, _, _, minutes| minutes }
        new(who:, calls: there.size, work:, waiting: there.sum { |same| span(same) } - work)
      end

      # Minutes from the first call of a rehearsal to the last release.
      def self.span(same)
        same.map { |_, _, start, minutes| start + minutes }.max - same.map { |_, _, start, _| start }.min
      end
      private_class_method :of, :span
    end
  end
end
