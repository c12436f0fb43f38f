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
        @indexed = IndexedProblem.new(problem)
        @windows = problem.open_windows
        @bottleneck = Bottleneck.new(@indexed, @windows)
      end

      # [Reason], at most MOST, of the gravest kind that holds.
      def reasons
        stages = %i[none_left away too_small steps too_long people rooms chain clique].lazy
        @reasons ||= stages.map { |stage| send(stage) }.find(&:any?)&.first(MOST) || [nothing_single]
      end

      # Whether any of them proves that no plan can do it.
      def proven? = reasons.any?(&:proven)

      private

      def jobs = @indexed.jobs
      def lost = @indexed.jobs.select { |job| @unplaced.key?(job.id) }

      # Of nobody anything is said where no rehearsal is left.
      def none_left
        return [] if @windows.any?

        [Reason.new(type: :none_left, need: @unplaced.values.sum, have: 0, tasks: lost.map(&:id))]
      end

      # Who is away all along comes first: no counting of rehearsals says more.
      def away = Absentees.new(@problem, @indexed, @windows).of(lost)

      # Blocks larger than every room.
      def too_small
        most = @windows.flat_map(&:rooms).map(&:last).max || 0
        lost
          .select { |job| job.least_size > most }
          .map { |job| Reason.new(type: :room, need: job.least_size, have: most, tasks: [job.id], unit: :people) }
      end

      # Blocks with somebody who uses wheels, where every room that holds them is reached by steps.
      def steps = lost.select { |job| job.wheels && nowhere?(job) }.map { |job| up_steps(job) }

      def nowhere?(job) = @indexed.steps.each_index.all? { |window| @indexed.rooms(job, window).empty? }

      def up_steps(job)
        dancers = @problem.tasks.find { |task| task.id == job.id }.dancers
        free = @windows.flat_map(&:rooms).reject { |room| @problem.stepped.include?(room.first) }
        Reason.new(
          type: :room, who: dancers & @problem.wheels, need: job.size, have: free.map(&:last).max || 0,
          tasks: [job.id], unit: :steps
        )
      end

      # Blocks for which no rehearsal is long enough with everybody there; who is away is named.
      def too_long
        lost.filter_map do |job|
          least = job.split ? [@indexed.least, job.steps].min : job.steps
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
          @indexed.steps.each_index
            .reject { |window| @indexed.rooms(job, window).empty? }
            .map { |window| [@bottleneck.longest(@indexed.open(job, window)), missing(job, window)] }
        found.max_by { |steps, away| [steps, -away.size] } || [0, []]
      end

      def missing(job, window)
        gone = @indexed.away[window].reduce(0, :|) & job.must
        Values::Bits.to_a(gone).map { |bit| @indexed.people[bit] }
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
        jobs.each { |job| Values::Bits.to_a(job.must).each { |bit| need[bit] += job.steps } }
        need.keys.select { |bit| need[bit] > 0.5 * have(bit) }.max_by(60) { |bit| need[bit].fdiv([have(bit), 1].max) }
      end

      def have(bit, indexed = @indexed) = indexed.away.sum { |steps| steps.count { |gone| gone[bit].zero? } }

      # What is too much for one person: of who teaches, the days on which they are there; of a dancer, those on which
      # they are away, where it is that.
      def person(bit)
        found = person_reason(bit, @indexed) or return
        return found if found.type == :choreographer

        missed([found.who.first], found, ->(indexed) { person_reason(bit, indexed) }).first || found
      end

      def person_reason(bit, indexed)
        who = indexed.people[bit]
        type = @problem.choreographers.include?(who) ? :choreographer : :dancer
        free = ->(window) { indexed.away[window].count { |gone| gone[bit].zero? } }
        own = indexed.jobs.select { |job| job.must[bit] == 1 }
        Bottleneck.new(indexed, @windows).of(own, free, type, [who])
      end

      # What is too much for the rooms: whose days away make it so, or the rooms themselves.
      def rooms
        found = room_reason(@indexed) or return []
        by_people = missed(nil, found, method(:room_reason))
        by_people.any? ? by_people : [found]
      end

      # people: of whom it can be, or nil for everybody.
      def missed(people, found, short)
        tasks = @problem.tasks.select { |task| found.tasks.include?(task.id) }
        MissedDays.new(@problem, @windows, short:).of(tasks, people:, need: found.need, have: found.have)
      end

      def room_reason(indexed)
        open = lambda do |window|
          indexed.closed[window].sum { |closed| indexed.steps[window] - Values::Bits.count(closed) }
        end
        Bottleneck.new(indexed, @windows).of(indexed.jobs, open, :room, nil)
      end

      # What waits for what needs more rehearsals, one after another, than there are.
      def chain = LongestWait.new(@indexed).reasons

      # Tasks that pairwise share somebody: no two of them can be at once.
      def clique
        chosen =
          jobs
            .sort_by { |job| [-Values::Bits.count(job.must), -job.steps, job.at] }
            .each_with_object([]) { |job, kept| kept << job if kept.all? { |other| other.must.anybits?(job.must) } }
        need = chosen.sum(&:steps)
        have = @indexed.steps.sum
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

      def minutes(steps) = @indexed.minutes(steps)
    end
  end
end
