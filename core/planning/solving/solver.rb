# frozen_string_literal: true

module Core
  module Planning
    # Problem in, Plan out. Serial placement by several rules; the deadline of the last run tightened as far as it goes,
    # or as far as people were promised; then ruin and recreate for waiting and trips; the exact order within each
    # rehearsal last. Iterations decide, the seed decides, `stop` only guards: the same seed and effort give the same
    # plan everywhere.
    class Solver
      # How often a place is looked for, each time for one job in one window.
      EFFORTS = { "quick" => 1500, "normal" => 10_000, "long" => 50_000 }.freeze
      # So often the search begins anew from the best it found.
      ROUNDS = 2

      # stop: asked now and then, true ends the search with the best so far; progress: told [plan so far, share]
      # sometimes.
      def initialize(problem, seed: 0, effort: "normal", stop: -> { false }, progress: nil)
        @problem = problem
        @seed = seed
        @random = Random.new(seed)
        @frame = IndexedProblem.new(problem)
        @construct = Construct.new(@frame)
        @beginnings = Beginnings.new(problem, @frame)
        @budget = EFFORTS.fetch(effort)
        @stop = stop
        @progress = progress
        @made = 0
        @fixed = problem.pinned.map(&:task)
      end

      def plan
        return answer(Table.new(@frame)) if @frame.steps.empty?

        table = first
        table = filled(table) unless table.unplaced.zero?
        tell(table, 0.1)
        table = tightened(table) if table.unplaced.zero? && @problem.aims.empty?
        table = [from_told, table].compact.min_by.with_index { |each, i| [*rank(each), i] }
        tell(table, 0.4)
        improve(table)
        answer(table)
      end

      # The first complete plan, or the fullest, by serial placement alone.
      def first
        @beginnings.by_rules.min_by.with_index { |table, i| [table.unplaced, *aimed(table), table.cost, i] }
      end

      # What counts before cost: aims where there are any, else the window that holds the last run.
      def aimed(table) = @problem.aims.any? ? [score.of(table) - table.cost] : [[ready(table), wanted].max]

      # Index of the window by whose end the last run (or the last task) is done.
      def ready(table)
        jobs = @frame.runs? ? @frame.jobs.select(&:run) : @frame.jobs
        jobs.filter_map { |job| table.blocks[job.at].map(&:window).max }.max || 0
      end

      private

      # What found no place is fitted in by taking others out.
      def filled(table)
        last = @frame.steps.size - 1
        search(table, Score.new(@frame), last, @budget, until_placed: true, early: true)
        table
      end

      # The earlier plan as far as it still stands: the search may begin there, so that it never ends worse than what
      # people were told.
      def from_told
        table = @beginnings.told if told
        table.nil? || table.unplaced.zero? ? table : filled(table)
      end

      def rank(table) = [table.unplaced, [ready(table) - wanted, 0].max, score.of(table)]

      # The last run one window earlier, as long as that can be done and has not been proven impossible.
      def tightened(table)
        goal = [bound, wanted].max
        while ready(table) > goal && !@stop.call
          earlier = by(ready(table) - 1) or break
          table = earlier
        end
        table
      end

      # A complete table whose last run lies in a window or before, or nil.
      def by(last)
        tries = @beginnings.by_rules(last) + @beginnings.shaken(@random, last)
        best = tries.min_by.with_index { |table, i| [table.unplaced, table.cost, i] }
        search(best, Score.new(@frame), last, @budget / 2, until_placed: true, early: true) unless best.unplaced.zero?
        best if best.unplaced.zero? && ready(best) <= last
      end

      def improve(table)
        last = [ready(table), wanted].max
        last = @frame.steps.size - 1 if table.unplaced.positive? || @problem.aims.any?
        polish = Polish.new(table, score)
        ROUNDS.times do
          search(table, score, last, @budget)
          polish.run(fixed: @fixed)
        end
        polish.start_early(fixed: @fixed)
        fewer_missed(table, last)
      end

      def search(table, score, last, iterations, **how)
        improve = Improve.new(table, random: @random, last:, score:, fixed: @fixed, stop: @stop)
        @made += improve.run(iterations, **how)
        @met = improve.met
      end

      def fewer_missed(table, last)
        fewer = FewerMissed.new(table, score, fixed: @fixed)
        fewer.run(@met) { |job| @construct.limit(job, last) }
        dear = fewer.jobs
        return if dear.empty? || @stop.call

        best = table.state
        search(table, Score.new(@frame, even: !@problem.target_window.nil?, told:, dear:), last, @budget / 2)
        fewer.run([best, *@met]) { |job| @construct.limit(job, last) }
      end

      def bound = @bound ||= Bound.new(@frame).ready

      # Index of the window until which being ready earlier is worth nothing: the target, or what people were promised
      # where that is earlier; 0 where nothing is said.
      def wanted
        @wanted ||=
          [@problem.target_window, @problem.promised].compact
            .filter_map { |id| @frame.windows.index { |window| window.id == id } }
            .min || 0
      end

      def score = @score ||= Score.new(@frame, even: !@problem.target_window.nil?, told: told)
      def told = @told ||= @problem.plan.empty? ? nil : Disturbance.new(@frame, @problem.plan)
      def tell(table, share) = @progress&.call(table.unplaced * @problem.grid, ready(table), share)

      def answer(table)
        unplaced =
          @frame.jobs.reject { |job| table.placed?(job) }.to_h { |job| [job.id, table.left[job.at] * @problem.grid] }
        whole, around = around(table)
        found = Answer.new(whole, @problem)
        Plan.new(
          @problem,
          found.placements,
          unplaced:,
          **why(unplaced),
          **found.around(around),
          prices: Answer.new(table, @problem).prices,
          bound: (CostBound.new(@frame).minutes if unplaced.empty?),
          seed: @seed,
          iterations: @made,
          ready_bound: @frame.steps.empty? ? nil : @frame.windows[bound]&.id,
          changes: told&.of(whole),
          stopped_by: @stop.call ? "stop" : "iterations",
          rank: [unplaced.values.sum, [ready(table) - wanted, 0].max, score.of(table)],
          first_aim_missed: score.first_aim_missed(table)
        )
      end

      def why(unplaced)
        return {} if unplaced.empty?

        shortfall = Shortfall.new(@problem, unplaced)
        { reasons: shortfall.reasons, proven_impossible: shortfall.proven? }
      end

      # Table and Bookends with recap and music put around the work, where they are asked for.
      def around(table)
        return [table, nil] unless (@problem.recap + @problem.to_music).positive?

        ends = bookends(Answer.new(table, @problem).placements)
        [ends.table, ends]
      end

      # Ids of windows in which everything lies as people were told.
      def as_told(placements)
        here, told = [placements, @problem.plan].map do |list|
          list.group_by(&:window).transform_values { |same| same.map { |each| [each.task, each.start] }.sort }
        end
        told.select { |window, same| here[window] == same }.keys
      end

      # Recap and music around what was placed; nothing that people were told is moved for them.
      def bookends(placements)
        Bookends.new(@problem, placements, fixed: @problem.pinned.map(&:window) | as_told(placements))
      end
    end
  end
end
