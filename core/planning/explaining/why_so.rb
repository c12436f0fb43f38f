# frozen_string_literal: true

module Core
  module Planning
    # Why an evening is as it is, in what counts when plans are compared: for how long people wait and who waits
    # longest, who teaches for less than is worth coming for, and what else is paid for (EveningPrice), in
    # person-minutes.
    #
    #   WhySo.new(problem, placements).evening("w3").longest  # => ["ada", 25]
    class WhySo
      # waiting: person-minutes; longest: [person, minutes] or nil; came: how many come; short: [[teacher, minutes],
      # …]; prices: [[name, person-minutes], …], the dearest first.
      Evening = Struct.new(:waiting, :longest, :came, :short, :prices, keyword_init: true)

      # placements: [Placement] of tasks of the problem; those that cannot stand are left out.
      def initialize(problem, placements)
        @problem = problem
        @frame = IndexedProblem.new(problem.with(recap: 0, to_music: 0))
        lengths = problem.windows.to_h { |window| [window.id, window.minutes] }
        here = placements.select { |each| each.start >= 0 && each.end <= lengths.fetch(each.window, -1) }
        standing = Standing.new(problem.with(plan: here, pinned: [], recap: 0, to_music: 0), @frame)
        @plan = Plan.new(problem, standing.placements)
        @table = standing.table
      end

      # An Evening by a window's id; nil where nothing lies in it.
      def evening(id)
        calls = @plan.calls.select { |call| call.window == id }
        return if calls.empty?

        longest = calls.max_by { |call| [call.waiting, call.who.to_s] }
        Evening.new(waiting: calls.sum(&:waiting), came: calls.size, short: short(id), prices: prices(id),
                    longest: ([longest.who, longest.waiting] if longest.waiting.positive?))
      end

      private

      def index(id) = @frame.windows.index { |window| window.id == id }

      def prices(id)
        return [] unless @frame.prices

        named = @frame.prices.named(@table.evenings[index(id)], index(id))
        named.except(:short_evenings).select { |_, minutes| minutes.positive? }.sort_by { |name, m| [-m, name.to_s] }
      end

      # Teachers who work for less than is worth coming for.
      def short(id)
        list = @problem.price_list or return []
        own = @plan.placements.select { |each| each.window == id }
        minutes = own.each_with_object(Hash.new(0)) do |each, found|
          teachers(each).each { |who| found[who] += each.minutes }
        end
        short = minutes.reject { |who, sum| list.home.include?(who) || sum >= least(who, list) }
        short.sort_by { |who, sum| [sum, who] }
      end

      def teachers(placement)
        @tasks ||= @problem.tasks.to_h { |task| [task.id, task] }
        (placement.lead || @tasks.fetch(placement.task).choreographers) & @problem.choreographers
      end

      def least(who, list) = list.guests.include?(who) ? Price::GUEST : Price::EVENING
    end
  end
end
