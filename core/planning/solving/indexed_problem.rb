# frozen_string_literal: true

module Core
  module Planning
    # A problem made ready for the solver: people, windows and tasks as indexes, times in steps of the grid, sets of
    # people and of steps as whole numbers. Nothing in it changes while a plan is sought.
    class IndexedProblem
      # A task by index. steps: what is still to be placed; people: a set; size: dancers, for the room; rate: new eights
      # a step; after, after_window, before, before_window: indexes of tasks; tail: steps on the longest way to the end;
      # urgent: a run is this, or waits for it; through: may use a rehearsal's first and last minutes, kept for recap
      # and music; wheels: somebody of it cannot take steps.
      Job =
        Struct.new(
          :at, :id, :steps, :split, :people, :size, :rate, :fresh, :after, :after_window, :before, :before_window,
          :run, :tail, :urgent, :through, :wheels,
          keyword_init: true
        ) do
          def hash = at
          def ==(other) = equal?(other)
          alias_method :eql?, :==
        end
      attr_reader :problem,
                  :jobs,
                  :windows,
                  :steps,
                  :weeks,
                  :dates,
                  :least,
                  :most,
                  :rests,
                  :trip,
                  :cap,
                  :away,
                  :closed,
                  :working,
                  :rewarm,
                  :around,
                  :dancing

      def initialize(problem)
        @problem = problem
        @grid = problem.grid
        @windows = problem.open_windows
        @calendar = Calendar.new(problem)
        @steps = @windows.map { |window| window.minutes / @grid }
        read_figures
        read_calendar
        read_care
        @jobs = build_jobs
        @runs = @jobs.any?(&:run)
        @open = {}
      end

      def people = @calendar.people
      def bits(ids) = @calendar.bits(ids)
      def minutes(steps) = steps * @grid

      # Steps of a window (a set) on which everybody of a job is there.
      def open(job, window) = @open[(job.at * 4096) + window] ||= open_steps(job, window)

      # Rooms of a window that hold a job, smallest first: [index].
      def rooms(job, window)
        @rooms ||= {}
        @rooms[(((job.size * 2) + (job.wheels ? 1 : 0)) * 4096) + window] ||= begin
          all = @windows[window].rooms
          all.each_index.select { |room| holds?(all[room], job) }.sort_by { |room| [all[room].last, room] }
        end
      end

      # Whether a room ([id, capacity]) takes all of a job.
      def holds?((id, capacity), job) = capacity >= job.size && !(job.wheels && @problem.stepped.include?(id))

      # Minutes each limited person may do a day, where a day's rehearsals are longer than that: [[bit, steps], …].
      def limits(date) = @limits.fetch(date, [])

      # Steps of other work and of warm-ups beside this problem's, on a date.
      def elsewhere(date, bit) = @calendar.elsewhere[[date, bit]].fdiv(@grid).ceil

      # Windows of a date.
      def on(date) = @on.fetch(date, [])

      # Jobs in an order in which each comes after what it waits for.
      def in_order = @in_order ||= @problem.in_order.filter_map { |task| @by_id[task.id] }

      # Whether anything to be placed is a run; the last run then tells when the piece is ready.
      def runs? = @runs

      # The job of a task id, or nil when nothing of it is left.
      def job(id) = @by_id[id]

      # Indexes of windows by week.
      def by_week = @by_week ||= @windows.each_index.group_by { |window| @weeks[window] }.values

      private

      def read_figures
        @least = @problem.min_part / @grid
        @most = @problem.max_part / @grid
        @rests = [
          [@problem.max_continuous / @grid, @problem.break_minutes / @grid],
          *@problem.rests.map { |most, rest| [most / @grid, rest / @grid] }
        ]
        @trip = @problem.trip_cost
        @cap = @problem.most_new_eights
        @rewarm = @problem.rewarm&.map { |minutes| minutes.fdiv(@grid).ceil }
        @around = @problem.frame_minutes.fdiv(@grid).ceil
        @kept = [@problem.recap, @problem.to_music].map { |minutes| minutes.fdiv(@grid).ceil }
      end

      def read_care
        @working = @windows.map { |window| @calendar.working(window) }
        @dancing = @calendar.bits(@problem.dancers)
        @on = @windows.each_index.group_by { |i| @dates[i] }
        @limits = @on.to_h { |date, same| [date, limits_under(date, same)] }
      end

      def read_calendar
        @away = @windows.map { |window| @calendar.away(window) }
        @closed = @windows.map { |window| window.rooms.map { |id, _| @calendar.closed(window, id) } }
        @dates = @windows.map(&:date)
        @weeks = @windows.map { |window| window.day / 7 }
      end

      def limits_under(date, windows)
        possible = windows.sum { |i| @steps[i] + @around }
        @problem.limits.filter_map do |limit|
          most = limit[:minutes_per_day] / @grid
          bit = @calendar.index[limit[:who]]
          [bit, most] if bit && most < possible + elsewhere(date, bit)
        end
      end

      def build_jobs
        open = @problem.tasks.select { |task| @problem.left(task).positive? }
        at = open.each_with_index.to_h { |task, i| [task.id, i] }
        jobs = open.each_with_index.map { |task, i| job_of(task, i, at) }
        @by_id = jobs.to_h { |job| [job.id, job] }
        link(jobs)
        jobs
      end

      def job_of(task, index, places)
        people = task.people
        Job.new(
          at: index,
          id: task.id,
          steps: @problem.left(task) / @grid,
          split: task.split,
          people: @calendar.bits(people),
          size: task.dancers.size,
          rate: task.eights.zero? ? 0.0 : task.eights.to_f * @grid / task.minutes,
          fresh: task.eights.zero? ? [] : task.dancers.map { |who| @calendar.index[who] },
          after: task.after.filter_map { |id| places[id] },
          after_window: task.after_window.filter_map { |id| places[id] },
          before: [],
          before_window: [],
          run: task.run?,
          tail: 0,
          through: task.through? || Bookends::KINDS.include?(task.kind),
          wheels: task.dancers.intersect?(@problem.wheels)
        )
      end

      def link(jobs)
        jobs.each do |job|
          job.after.each { |i| jobs[i].before << job.at }
          job.after_window.each { |i| jobs[i].before_window << job.at }
        end
        in_order.reverse_each do |job|
          later = (job.before + job.before_window).map { |i| jobs[i] }
          job.tail = job.steps + (later.map(&:tail).max || 0)
          job.urgent = job.run || later.any?(&:urgent)
        end
      end

      def open_steps(job, window)
        set = 0
        @away[window].each_with_index { |gone, step| set |= 1 << step if gone.nobits?(job.people) }
        job.through ? set : set & between(window)
      end

      # Steps of a window without what is kept for recap and music; all of a short one.
      def between(window)
        size = @steps[window]
        first, last = @kept
        return (1 << size) - 1 if size < (first + last) * 4

        ((1 << (size - last)) - 1) & ~((1 << first) - 1)
      end
    end
  end
end
