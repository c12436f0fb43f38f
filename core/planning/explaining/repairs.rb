# frozen_string_literal: true

module Core
  module Planning
    # What would make an incomplete plan fit: each is tried in the world it would be done in, and only what works is
    # kept. That world is the problem itself, changed, and a quick search; whoever knows more of it (what a change does
    # to the tasks, how a plan is made again) passes it in.
    class Repairs
      # kind: :rehearsal, :freed, :fewer_passes, :room, :runs or :quorum, with who, window, share: what it is about; or
      # :change, of which the world alone knows what it is (about). problem: as it would be.
      Repair = Struct.new(:kind, :who, :window, :share, :about, :problem, :ready_window, keyword_init: true)
      FEWER = 0.8
      FEWER_RUNS = 3

      # quorum: the share of its dancers with which learning may go ahead.
      # world: answers plan(repair), the Plan as it would be made then, or nil where that cannot be done; quorums, the
      # shares of dancers to try; gentle(tasks) and changes(tasks), what else could be tried for tasks that found no
      # place, [about]: what costs people little, and what changes how the piece is built.
      def initialize(problem, unplaced, seed: 0, most: 4, quorum: 0.8, world: nil, stop: -> { false })
        @world = world
        @quorum = Quorum.new(share: quorum)
        @problem = problem
        @unplaced = unplaced
        @seed = seed
        @most = most
        @stop = stop
      end

      # [Repair] that were tried and give a complete plan.
      def all
        found = candidates.lazy.reject { |_| @stop.call }.filter_map { |repair| tried(repair) }
        found.uniq { |repair| repair.kind == :runs ? :runs : repair }.first(@most)
      end

      private

      def tried(repair)
        plan = @world ? @world.plan(repair) : Solver.new(repair.problem, seed: @seed, effort: "quick", stop: @stop).plan
        repair.dup.tap { |found| found.ready_window = plan.ready_window } if plan&.complete?
      end

      # What is asked of people comes after what others can do, and fewer dancers last.
      def candidates
        return [*freed, *quorum, *rehearsal, *runs, *rooms, *fewer] unless @world

        [*of_world(:gentle), *freed, *rehearsal, *runs, *of_world(:changes), *rooms, *fewer, *quorums]
      end

      def of_world(which) = @world.public_send(which, lost).map { |about| Repair.new(kind: :change, about:) }

      # Smaller shares of its dancers with which learning goes ahead, as a wish of the whole plan.
      def quorums = @world.quorums.map { |share| Repair.new(kind: :quorum, share:) }

      def lost = @problem.tasks.select { |task| @unplaced.key?(task.id) }

      # Somebody who is away in the rehearsals that are left, and is needed for what found no place.
      def freed
        away = often_away
        lost.flat_map(&:people).uniq.select { |who| away.key?(who) }.max_by(3) { |who| away[who] }.map do |who|
          Repair.new(kind: :freed, who:, problem: @problem.freed(who))
        end
      end

      def often_away
        @often_away ||= @problem.unavailable.select { |entry| Problem.theirs?(entry) }.map { |entry| entry[:who] }.tally
      end

      # Learning that found no place goes ahead without those who are away most, with at least the share of its dancers
      # that is enough; whoever is left out catches up, before anything that waits for it.
      def quorum
        left_out =
          lost
            .select { |task| task.kind == "learn" }
            .to_h { |task| [task.id, @quorum.without(task.dancers, often_away)] }
            .reject { |_, people| people.empty? }
        return [] if left_out.empty?

        [
          Repair.new(
            kind: :quorum,
            who: left_out.values.flatten.uniq,
            share: @quorum.share,
            problem: @problem.with(tasks: without(left_out))
          )
        ]
      end

      # The tasks with these people left out of them, a lesson in which they catch up after each. left_out: {task id =>
      # [person id]}.
      def without(left_out)
        @problem.tasks.flat_map do |task|
          task = task.with(after: task.after + (task.after & left_out.keys).map { |id| "#{id}-caught-up" })
          if left_out.key?(task.id)
            [going_on(task, left_out[task.id]), catch_up(task, left_out[task.id])]
          else
            [task]
          end
        end
      end

      def going_on(task, left_out)
        task.with(dancers: task.dancers - left_out, may: task.may - left_out,
                  enough: [task.enough - (task.may & left_out).size, 0].max, groups: [])
      end

      def catch_up(task, people)
        minutes = (task.minutes * Quorum::CATCHING_UP / @problem.grid).ceil * @problem.grid
        task.with(
          id: "#{task.id}-caught-up",
          kind: "catchup",
          minutes:,
          dancers: people, may: [], enough: 0, groups: [],
          after: [task.id],
          after_window: [],
          eights: 0
        )
      end

      # One rehearsal more, like the longest there is, in the widest gap before the last run or after the end.
      def rehearsal
        windows = @problem.open_windows
        return [] if windows.empty?

        like = windows.max_by(&:minutes)
        gap = windows.each_cons(2).max_by { |a, b| b.day - a.day }
        if gap
          days =
            [(gap.first.day + gap.last.day) / 2].select do |day|
              gap.last.day - gap.first.day > 1 && day > gap.first.day
            end
        end
        [*days, windows.last.day + 1].select { |day| before_show?(day) }.map { |day| extra(like, day) }
      end

      def before_show?(day) = @problem.show_date.nil? || day < Date.iso8601(@problem.show_date).jd

      def extra(like, day)
        window = like.with(id: "extra", date: Date.jd(day).iso8601)
        Repair.new(kind: :rehearsal, window:, problem: @problem.with_window(window))
      end

      # Without the full runs that found no place, or one or two more (those that are left are danced in other ways
      # then); one at least is left.
      def runs
        runs = @problem.tasks.select(&:run?).map(&:id)
        gone = runs & lost.map(&:id)
        return [] if gone.empty?

        kept = runs - gone
        (1..kept.size).last(FEWER_RUNS).reverse.map do |count|
          Repair.new(kind: :runs, share: [count, runs.size], problem: without_runs(runs - kept.first(count)))
        end
      end

      def without_runs(gone)
        tasks = @problem.tasks.reject { |task| gone.include?(task.id) }
        @problem.with(
          tasks: tasks.map { |task| task.with(after: task.after - gone, after_window: task.after_window - gone) }
        )
      end

      # A further room, as large as the largest call, in every rehearsal.
      def rooms
        size = @problem.tasks.map { |task| task.dancers.size }.max || 0
        [
          Repair.new(
            kind: :room,
            share: size,
            problem:
              @problem.with(
                windows: @problem.windows.map { |window| window.with(rooms: [*window.rooms, ["extra", size]]) }
              )
          )
        ]
      end

      # Fewer passes: a fifth less time for all that is taught.
      def fewer
        tasks =
          @problem.tasks.map do |task|
            if task.split
              task.with(minutes: [(task.minutes * FEWER / @problem.grid).ceil * @problem.grid, @problem.grid].max)
            else
              task
            end
          end
        [Repair.new(kind: :fewer_passes, share: FEWER, problem: @problem.with(tasks:))]
      end
    end
  end
end
