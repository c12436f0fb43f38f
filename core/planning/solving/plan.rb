# frozen_string_literal: true

module Core
  module Planning
    # What the solver answers: placements in time order, what did not fit, and why.
    # unplaced: {task id => minutes}.
    class Plan
      Call = Struct.new(:window, :who, :call, :release, :waiting, keyword_init: true)
      ReWarm = Struct.new(:window, :start, :minutes, :dancers, keyword_init: true)
      attr_reader :placements,
                  :unplaced,
                  :reasons,
                  :seed,
                  :iterations,
                  :ready_bound,
                  :changes,
                  :stopped_by,
                  :repairs,
                  :problem,
                  :bookends,
                  :missing_bookends,
                  :rank,
                  :prices,
                  :first_aim_missed,
                  :unplaced_catch_ups,
                  :own,
                  :bound

      # changes: Disturbance::Count against an earlier plan; repairs: [Repairs::Repair] that were tried and work;
      # bookends: [Bookends::Bookend]; missing_bookends: [BookendWishes::Wish] that found no place; rank: [minutes
      # without a place, rehearsals later than wanted, Score], by which plans of one problem compare, the least best;
      # parties: {Placement => Answer::Party} of those where somebody may miss something; prices: person-minutes by
      # name; first_aim_missed: days; unplaced_catch_ups: minutes; own: [WarmBlocks::Block];
      # bound: person-minutes that no complete plan costs less than (CostBound), nil for a plan that is not complete.
      def initialize(problem, placements, unplaced: {}, reasons: [], seed: 0, iterations: 0, ready_bound: nil,
                     changes: nil, stopped_by: "iterations", proven_impossible: false, repairs: [], bookends: [],
                     missing_bookends: [], rank: [], parties: {}, prices: {}, first_aim_missed: 0,
                     unplaced_catch_ups: 0, own: [], bound: nil)
        @rank = rank
        @bound = bound
        @parties = parties
        @prices = prices
        @first_aim_missed = first_aim_missed
        @unplaced_catch_ups = unplaced_catch_ups
        @own = own
        @ready_bound = ready_bound
        @changes = changes
        @stopped_by = stopped_by
        @proven_impossible = proven_impossible
        @repairs = repairs
        @bookends = bookends.sort_by { |each| [each.window.to_s, each.start, each.dancers.first.to_s] }.freeze
        @missing_bookends = missing_bookends
        @problem = problem
        @order = problem.windows.each_with_index.to_h { |window, i| [window.id, i] }
        @tasks = problem.tasks.to_h { |task| [task.id, task] }
        @placements = placements.sort_by { |p| [@order[p.window], p.start, p.room.to_s, p.task.to_s] }.freeze
        @unplaced = unplaced
        @reasons = reasons
        @seed = seed
        @iterations = iterations
      end

      def complete? = unplaced.empty?
      def lately = problem.lately
      def proven_impossible? = @proven_impossible

      # The same plan with reviews put into it.
      def with_reviews(tasks, more)
        return self if tasks.empty?

        Plan.new(
          problem.with(tasks: problem.tasks + tasks),
          placements + more,
          unplaced:,
          reasons:,
          seed:,
          iterations:,
          ready_bound:,
          changes:,
          stopped_by:,
          repairs:,
          bookends:,
          missing_bookends:,
          rank:,
          parties: @parties, prices:, first_aim_missed:, unplaced_catch_ups:, own:, bound:,
          proven_impossible: proven_impossible?
        )
      end

      # The same plan with repairs that were tried.
      def with_repairs(repairs) = dup.tap { |plan| plan.instance_variable_set(:@repairs, repairs) }

      # Who comes to a placement, and who misses it (Answer::Party); nil where everybody of its task comes.
      def party(placement) = @parties[placement]

      def unplaced_minutes = unplaced.values.sum

      # Id of the window that holds the last run (or the last task, where there are no runs).
      def ready_window
        runs = placements.select { |placement| @tasks[placement.task].run? }
        (runs.empty? ? placements : runs).max_by { |placement| @order[placement.window] }&.window
      end

      # When each person is needed in each rehearsal; minutes after the window's start.
      def calls
        @calls ||=
          spans.flat_map do |window, people|
            people.sort_by { |who, _| who.to_s }.map { |who, own| call(window, who, own) }
          end
      end

      # [ReWarm]: dancers who were idle so long that they warm up again before they go on.
      def re_warms
        idle, minutes = @problem.rewarm
        return [] unless idle

        @problem.windows.flat_map do |window|
          dancing =
            spans.fetch(window.id, {}).slice(*@problem.dancers).to_h { |who, own| [who, own + other_work(who, window)] }
          ReWarms.new(idle:, minutes:).of(dancing)
            .map { |start, dancers| ReWarm.new(window: window.id, start:, minutes:, dancers:) }
        end
      end

      # Σ over person × rehearsal of waiting plus the cost of coming.
      def cost = calls.sum { |call| call.waiting + @problem.trip_cost }

      private

      # {window => {who => [[from, to], …]}}, recaps and music included.
      def spans
        @spans ||= (placements + bookends + own).each_with_object({}) do |block, found|
          here = found[block.window] ||= Hash.new { |hash, who| hash[who] = [] }
          hours = party(block)&.hours || {}
          people(block).each { |who| here[who] << (hours[who] || [block.start, block.end]) }
        end
      end

      def people(block)
        return block.people if block.respond_to?(:people)

        party(block)&.there || @tasks[block.task].people
      end

      def call(window, who, own)
        from = own.map(&:first).min
        to = own.map(&:last).max
        Call.new(
          window:,
          who:,
          call: from,
          release: to,
          waiting: to - from - own.sum { |start, finish| finish - start }
        )
      end

      # From and to of an entry in minutes of a window.
      def within(window, entry)
        [entry[:from] - window.start, entry[:to] - window.start].map { |at| at.clamp(0, window.minutes) }
      end

      # What somebody rehearses beside this problem in a window.
      def other_work(who, window)
        @other ||=
          @problem.unavailable
            .select { |entry| entry[:work] && entry[:from] }
            .group_by { |entry| [entry[:who], entry[:date]] }
        spans = @other.fetch([who, window.date], []).map { |entry| within(window, entry) }
        spans.select { |from, to| from < to }
      end
    end
  end
end
