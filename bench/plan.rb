# frozen_string_literal: true

module Bench
  # The planner: time to the first complete plan, ready window against its bound, cost over effort, gap to a proven
  # optimum on small cases, growth with size, and how little planning again disturbs.
  class Plan
    Planning = Core::Planning
    CASES = {
      "small" => {
        dancers: 12,
        sections: 4,
        windows: 10,
        rooms: 1
      },
      "medium" => {
        dancers: 40,
        sections: 10,
        windows: 24
      },
      "large" => {
        dancers: 120,
        sections: 30,
        windows: 40,
        rooms: 3,
        away: 0.002
      },
      "huge" => {
        dancers: 400,
        sections: 50,
        windows: 70,
        rooms: 4,
        groups: 8,
        away: 0.0006
      }
    }.freeze
    private_constant :Planning

    def run
      $stdout.sync = true
      puts "YJIT #{defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled? ? 'on' : 'off'}"
      CASES.each { |name, facts| season(name, PlanCases.season(**facts)) }
      care
      exact
      again
    end

    private

    def timed
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      [yield, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started]
    end

    def season(name, problem)
      frame = Planning::IndexedProblem.new(problem)
      first = Array.new(5) { timed { Planning::Construct.new(frame).table(:urgent) } }.min_by(&:last)
      puts format(
        "%-7s %3d tasks × %2d rehearsals × %3d dancers: first plan in %6.1f ms (%d steps without a place)",
        name,
        problem.tasks.size,
        problem.windows.size,
        problem.dancers.size,
        first.last * 1000,
        first.first.unplaced
      )
      %w[quick normal long].each { |effort| effort(problem, effort) }
    end

    def effort(problem, effort)
      plan, seconds = timed { Planning::Solver.new(problem, effort:).plan }
      index = ->(id) { problem.windows.index { |window| window.id == id } }
      puts format(
        "        %-6s %6.2f s, %5d iterations, complete %s, ready %d (bound %d), cost %d",
        effort,
        seconds,
        plan.iterations,
        plan.complete?,
        index.call(plan.ready_window),
        index.call(plan.ready_bound) || -1,
        plan.cost
      )
    end

    # The medium and the large case with everything kept for bodies and memory: what it costs, and how much of it finds
    # a place.
    def care
      %w[medium large].each do |name|
        problem = PlanCases.season(**CASES[name])
        careful =
          problem.with(
            rewarm: [20, 5],
            frame_minutes: 25,
            recap: 5,
            to_music: 5,
            max_part: 45,
            rests: [[120, 15]],
            limits: problem.dancers.map { |who| { who:, minutes_per_day: 150 } }
          )
        plan, seconds = timed { Planning::Solver.new(careful, effort: "normal").plan }
        _, bare = timed { Planning::Solver.new(problem, effort: "normal").plan }
        found, missing = [plan.bookends, plan.missing_bookends].map(&:size)
        puts format(
          "care    %-6s %.2f s (%.2f s without), complete %s, ready %s, %d of %d recaps and musics placed, %d " \
          "times somebody warms up again",
          name,
          seconds,
          bare,
          plan.complete?,
          plan.ready_window,
          found,
          found + missing,
          plan.re_warms.sum { |each| each.dancers.size }
        )
      end
    end

    # Small one-room and two-room cases against the proven optimum.
    def exact
      unless load_highs
        return (
          puts("exact: not measured, the highs gem is not there (bundle config set --local with bench; bundle install)")
        )
      end

      [1, 2].each do |rooms|
        found = (1..6).filter_map { |seed| gap(PlanCases.small(seed, rooms:)) }
        puts format(
          "exact   %d room%s, %d cases: ready window proven in %d, cost above the optimum quick %.2f %%, normal " \
          "%.2f %%, long %.2f %%",
          rooms,
          rooms > 1 ? "s" : "",
          found.size,
          found.count(&:first),
          *(1..3).map { |i| 100 * found.sum { |row| row[i] } / found.size }
        )
      end
    end

    def load_highs
      require "highs"
      require_relative "exact"
    rescue LoadError
      false
    end

    # [ready window proven?, gap by quick, normal, long]
    def gap(problem)
      best = Exact.new(problem).best or return
      plans = %w[quick normal long].map { |effort| Planning::Solver.new(problem, effort:).plan }
      ready = plans.map { |plan| problem.windows.index { |window| window.id == plan.ready_window } }
      [ready.all?(best.first), *plans.map { |plan| (plan.cost - best.last).fdiv(best.last) }]
    end

    # One rehearsal of the medium case falls away.
    def again
      problem = PlanCases.season(**CASES["medium"])
      told = Planning::Solver.new(problem, effort: "normal").plan
      lost = told.placements.map(&:window).tally.max_by(&:last).first
      asked = problem.with(plan: told.placements, windows: problem.windows.reject { |window| window.id == lost })
      both = Planning::Replanning.new(asked, effort: "normal")
      [["repair", both.repair], ["anew", both.anew]].each do |name, plan|
        puts format(
          "again   %-6s without its fullest rehearsal: complete %s, ready %s (was %s), %s",
          name,
          plan.complete?,
          plan.ready_window,
          told.ready_window,
          plan.changes.to_h.map { |what, count| "#{count} #{what}" }.join(", ")
        )
      end
    end
  end
end
