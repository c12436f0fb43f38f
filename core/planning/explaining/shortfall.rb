# frozen_string_literal: true

module Core
  module Planning
    # Finds why a plan is incomplete: the first stage that fires, the gravest first. Each but the last rests on a
    # relaxation, so what it says is proven: no plan can do it.
    class Shortfall
      MOST = 3

      def initialize(problem, unplaced)
        @problem = problem
        @unplaced = unplaced
        @frame = IndexedProblem.new(problem)
        @windows = problem.open_windows
        @tasks = problem.tasks.to_h { |task| [task.id, task] }
      end

      def reasons
        @reasons ||=
          %i[too_small too_long people rooms chain clique].lazy.map { |stage| send(stage) }.find(&:any?)&.first(MOST) ||
          [nothing_single]
      end

      def proven? = reasons.any?(&:proven)

      private

      def jobs = @frame.jobs
      def lost = @frame.jobs.select { |job| @unplaced.key?(job.id) }

      # Blocks larger than every room.
      def too_small
        most = @windows.flat_map(&:rooms).map(&:last).max || 0
        lost
          .select { |job| job.size > most }
          .map { |job| Reason.new(type: :room, need: job.size, have: most, tasks: [job.id], unit: :people) }
      end

      # Blocks for which no rehearsal is long enough with everybody there; who is away is named.
      def too_long
        lost.filter_map do |job|
          least = job.split ? [@frame.least, job.steps].min : job.steps
          best = jobs_best(job)
          if best.first < least
            Reason.new(
              type: kind_of_away(best.last),
              who: best.last.first(4),
              need: minutes(least),
              have: minutes(best.first),
              tasks: [job.id],
              long: true
            )
          end
        end
      end

      # The longest stretch of a job in any rehearsal, and who keeps it from being longer: [steps, [who]].
      def jobs_best(job)
        found =
          @frame.steps.each_index
            .reject { |window| @frame.rooms(job, window).empty? }
            .map { |window| [longest(@frame.open(job, window)), missing(job, window)] }
        found.max_by { |steps, away| [steps, -away.size] } || [0, []]
      end

      def longest(set)
        steps = 0
        steps += 1 until Table.runs(set, steps + 1).zero?
        steps
      end

      def missing(job, window)
        gone = @frame.away[window].reduce(0, :|) & job.people
        Values::Bits.to_a(gone).map { |bit| @frame.people[bit] }
      end

      def kind_of_away(people)
        return :precedence if people.empty?

        people.intersect?(@problem.choreographers) ? :choreographer : :dancer
      end

      # People whose minutes do not fit into the rehearsals in which their tasks can be.
      def people
        found = busiest.filter_map { |bit| person(bit) }.sort_by { |reason| [-reason.short, reason.who.first] }
        teachers, dancers = found.partition { |reason| reason.type == :choreographer }
        teachers.any? ? teachers : dancers
      end

      # Who is asked for most of the time they have: nobody else can be short.
      def busiest
        need = Hash.new(0)
        jobs.each { |job| Values::Bits.to_a(job.people).each { |bit| need[bit] += job.steps } }
        need.keys.select { |bit| need[bit] > 0.5 * have(bit) }.max_by(60) { |bit| need[bit].fdiv([have(bit), 1].max) }
      end

      def have(bit) = @frame.away.sum { |steps| steps.count { |gone| gone[bit].zero? } }

      def person(bit)
        who = @frame.people[bit]
        type = @problem.choreographers.include?(who) ? :choreographer : :dancer
        cut(
          jobs.select { |job| job.people[bit] == 1 },
          ->(window) { @frame.away[window].count { |gone| gone[bit].zero? } },
          type,
          [who]
        )
      end

      def rooms
        open = ->(window) { @frame.closed[window].sum { |closed| @frame.steps[window] - Values::Bits.count(closed) } }
        [cut(jobs, open, :room, nil)].compact
      end

      # A flow of tasks into rehearsals; where it falls short, the minimum cut says which tasks fit only which dates.
      def cut(tasks, capacity, type, who)
        flow = flow(tasks, capacity)
        need = tasks.sum(&:steps)
        short = need - flow.most
        return unless short.positive?

        side = flow.source_side
        tight = tasks.select { |job| side.include?([:task, job.at]) }
        windows = @frame.steps.each_index.select { |window| tight.any? { |job| part(job, window).positive? } }
        wanted = tight.sum(&:steps)
        Reason.new(
          type:,
          who:,
          need: minutes(wanted),
          have: minutes(wanted - short),
          tasks: tight.map(&:id),
          windows: windows.map { |window| @windows[window].id }
        )
      end

      def flow(tasks, capacity)
        flow = Flow.new(:source, :sink)
        @frame.steps.each_index { |window| flow.edge([:window, window], :sink, capacity.call(window)) }
        tasks.each do |job|
          flow.edge(:source, [:task, job.at], job.steps)
          @frame.steps.each_index do |window|
            (most = part(job, window)).positive? && flow.edge([:task, job.at], [:window, window], most)
          end
        end
        flow
      end

      # The most of a job that a rehearsal can hold.
      def part(job, window)
        return 0 if @frame.rooms(job, window).empty?

        steps = longest(@frame.open(job, window))
        return steps >= job.steps ? job.steps : 0 unless job.split && job.steps > @frame.least

        steps >= @frame.least ? [steps, @frame.most, job.steps].min : 0
      end

      # What waits for what needs more rehearsals, one after another, than there are: the longest such line.
      def chain
        earliest = Bound.new(@frame).earliest
        stuck = @frame.in_order.select { |job| earliest[job.at] >= @frame.steps.size }
        line = stuck.map { |job| line_to(job, earliest) }.max_by.with_index { |each, i| [depth(each), -i] } or return []
        [
          Reason.new(
            type: :precedence,
            need: depth(line),
            have: @frame.steps.size,
            tasks: line.map(&:id),
            windows: [],
            unit: :rehearsals
          )
        ]
      end

      # The chain of jobs that makes one late, first to last.
      def line_to(job, earliest)
        line = [job]
        while (earlier = (line.first.after + line.first.after_window).max_by { |i| earliest[i] })
          line.unshift(jobs[earlier])
        end
        line
      end

      # Rehearsals that a line of jobs takes at the least; one more than there are where that alone does not tell.
      def depth(line)
        apart = line.each_cons(2).count { |a, b| b.after_window.include?(a.at) } + 1
        [apart, @frame.steps.size + 1].max
      end

      # Tasks that pairwise share somebody: no two of them can be at once.
      def clique
        chosen =
          jobs
            .sort_by { |job| [-Values::Bits.count(job.people), -job.steps, job.at] }
            .each_with_object([]) { |job, kept| kept << job if kept.all? { |other| other.people.anybits?(job.people) } }
        need = chosen.sum(&:steps)
        have = @frame.steps.sum
        if need > have
          [
            Reason.new(
              type: :clique,
              need: minutes(need),
              have: minutes(have),
              tasks: chosen.map(&:id),
              windows: @windows.map(&:id)
            )
          ]
        else
          []
        end
      end

      def nothing_single
        need = jobs.sum(&:steps)
        Reason.new(
          type: :none_found,
          need: minutes(need),
          have: minutes(need) - @unplaced.values.sum,
          tasks: @unplaced.keys,
          proven: false
        )
      end

      def minutes(steps) = @frame.minutes(steps)
    end
  end
end
