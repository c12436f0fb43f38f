# frozen_string_literal: true

module Core
  module Planning
    # Who is away on days without which something is too little: were this one person there on them, it would be
    # enough. Told before any room, since it is the person whom one can ask.
    class MissedDays
      # So many people, those away most, are tried.
      MOST = 6
      private_constant :MOST

      # windows: those still open; short: a callable, IndexedProblem => the Reason of what is too little, or nil.
      def initialize(problem, windows, short:)
        @problem = problem
        @windows = windows
        @short = short
      end

      # tasks: [Task] that are too many for what there is; need, have: minutes; people: whose days it can be, nil for
      # everybody's. [Reason], whoever is away most first.
      def of(tasks, need:, have:, people: nil)
        to_blame = away(people || tasks.flat_map(&:must).uniq).select { |who, _| enough_with?(who) }
        to_blame.map do |who, windows|
          own = tasks.select { |task| needs?(task, who) }
          Reason.new(type: :missed_days, who: [who], need:, have:, windows:, tasks: own.map(&:id))
        end
      end

      private

      def enough_with?(who) = @short.call(IndexedProblem.new(@problem.freed(who))).nil?
      def needs?(task, who) = task.must.include?(who) || task.leaders.include?(who)

      # [[who, [window id]], …] of those who must be there and are away by their own word.
      def away(people)
        own = @problem.unavailable.select { |entry| Problem.theirs?(entry) && people.include?(entry[:who]) }
        own.group_by { |entry| entry[:who] }
          .transform_values { |entries| windows(entries.map { |entry| entry[:date] }) }
          .reject { |_, windows| windows.empty? }
          .sort_by { |who, windows| [-windows.size, who] }.first(MOST)
      end

      def windows(dates) = @windows.select { |window| dates.include?(window.date) }.map(&:id)
    end
  end
end
