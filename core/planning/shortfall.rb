# frozen_string_literal: true

module Core
  module Planning
    # Finds why a plan is incomplete: the first kind of cause that fires, worst first.
    class Shortfall
      def initialize(problem, unplaced, calendar = Calendar.new(problem))
        @problem = problem
        @unplaced = unplaced
        @calendar = calendar
        @windows = problem.open_windows
      end

      def reasons
        %i[too_small too_short people rooms].each do |stage|
          found = send(stage)
          return found if found.any?
        end
        [nothing_single]
      end

      private

      def lost = @problem.tasks.select { |task| @unplaced.key?(task.id) }

      # Blocks larger than every room.
      def too_small
        most = @windows.flat_map(&:rooms).map(&:last).max || 0
        lost.select { |task| task.dancers.size > most }.map do |task|
          Reason.new(type: :room, need: task.dancers.size, have: most, tasks: [task.id])
        end
      end

      # Whole blocks for which no rehearsal is long enough with everybody there.
      def too_short
        lost.reject(&:split).filter_map do |task|
          have = @windows.map { |window| task.people.map { |who| @calendar.minutes(window, who) }.min || window.minutes }.max || 0
          Reason.new(type: :precedence, need: @problem.left(task), have:, tasks: [task.id]) if have < @problem.left(task)
        end
      end

      # People with more minutes asked of them than they have.
      def people
        short = @problem.people.filter_map { |who| person(who) }.sort_by { |reason| [-reason.short, reason.who.to_s] }
        teachers, dancers = short.partition { |reason| reason.type == :choreographer }
        teachers.any? ? teachers : dancers.first(3)
      end

      def person(who)
        mine = @problem.tasks.select { |task| task.people.include?(who) }
        need = mine.sum { |task| @problem.left(task) }
        open = @windows.select { |window| @calendar.minutes(window, who).positive? }
        have = open.sum { |window| @calendar.minutes(window, who) }
        return if need <= have

        type = @problem.choreographers.include?(who) ? :choreographer : :dancer
        Reason.new(type:, who:, need:, have:, tasks: mine.map(&:id), windows: open.map(&:id))
      end

      def rooms
        need = @problem.tasks.sum { |task| @problem.left(task) }
        have = @windows.sum { |window| window.minutes * window.rooms.size }
        need > have ? [Reason.new(type: :room, need:, have:, tasks: lost.map(&:id), windows: @windows.map(&:id))] : []
      end

      def nothing_single
        need = @problem.tasks.sum { |task| @problem.left(task) }
        Reason.new(type: :none_found, need:, have: need - @unplaced.values.sum, tasks: @unplaced.keys)
      end
    end
  end
end
