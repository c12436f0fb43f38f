# frozen_string_literal: true

module Core
  module Planning
    # A problem made ready for the solver: people, windows and tasks as indexes, times in steps of the grid, sets of
    # people and of steps as whole numbers. Nothing in it changes while a plan is sought.
    class IndexedProblem
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
                  :dancing,
                  :passed,
                  :prices

      def initialize(problem)
        @problem = problem
        @grid = problem.grid
        @windows = problem.open_windows
        @calendar = Calendar.new(problem)
        @steps = @windows.map { |window| window.minutes / @grid }
        read_figures
        read_calendar
        read_care
        @jobs = Jobs.new(problem, @calendar, @windows).all
        @by_id = @jobs.to_h { |job| [job.id, job] }
        @runs = @jobs.any?(&:run)
        @open = {}
        @rooms = {}
        @passed = problem.windows.size - @windows.size
        @prices = problem.price_list && EveningPrice.new(self, problem.price_list)
      end

      def people = @calendar.people
      def bits(ids) = @calendar.bits(ids)
      def minutes(steps) = steps * @grid

      # Steps of a window (a set) on which nobody is away without whom a job is not done, where it may lie at all.
      def open(job, window) = @open[(job.at * 4096) + window] ||= open_steps(job, window)

      # Those of a job (a set, without who leads it) who come to a block of it; nil where that is too few.
      def attends(job, window, start, steps) = @attendance.of(job, window, start, steps)

      # Those of a job who may come to a window at all.
      def expected(job, window) = @attendance.expected(job, window)

      def late(people, window, start, steps) = @attendance.late(people, window, start, steps)
      def there?(people, window, start, steps) = @attendance.there?(people, window, start, steps)
      def alone?(dancers, lead) = @attendance.alone?(dancers, lead)

      # Index of the lead of a job that a placement names, or nil.
      def lead_of(job, placement)
        named = placement.lead.to_a & people
        job.leads.index { |set, _| set == bits(named) } if named.any?
      end

      # Rooms of a window that hold a job, smallest first: [index].
      def rooms(job, window)
        size = job.may.zero? ? job.size : Values::Bits.count(expected(job, window) & job.dancers)
        @rooms[[size, job.wheels, job.marks, window]] ||= begin
          all = @windows[window].rooms
          all.each_index.select { |room| holds?(all[room], job, size) }.sort_by { |room| [all[room][1], room] }
        end
      end

      # Whether a room ([id, capacity]) takes so many of a job, and what they do.
      def holds?((id, capacity), job, size = job.size)
        capacity >= size && !(job.wheels && @problem.stepped.include?(id)) &&
          !job.marks.intersect?(@problem.refused.fetch(id, []))
      end

      # Minutes each limited person may do a day, where a day's rehearsals are longer than that: [[bit, steps], …].
      def limits(date) = @limits.fetch(date, [])

      # Steps of other work and of warm-ups beside this problem's, on a date.
      def elsewhere(date, bit) = @calendar.elsewhere[[date, bit]].fdiv(@grid).ceil

      # Windows of a date.
      def on(date) = @on.fetch(date, [])

      # Whether what goes in a window hangs on what lies in others too.
      def tied?(window) = @tied[window]

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
          [@problem.max_continuous / @grid, @problem.break_minutes / @grid, -1],
          *@problem.rests.map { |most, rest| [most / @grid, rest / @grid, -1] },
          *@problem.on_end.group_by(&:last).map do |most, pairs|
            [most / @grid, @problem.break_minutes / @grid, bits(pairs.map(&:first))]
          end
        ]
        @trip = @problem.trip_cost
        @cap = @problem.most_new_eights
        @rewarm = @problem.rewarm&.map { |minutes| minutes.fdiv(@grid).ceil }
        @around = @problem.frame_minutes.fdiv(@grid).ceil
        @edges = [@problem.warm_up, @problem.cool_down].map { |minutes| minutes.fdiv(@grid).ceil }
        @kept = [@problem.recap, @problem.to_music].map { |minutes| minutes.fdiv(@grid).ceil }
      end

      def read_care
        @kinds = EveningKinds.new(@problem, @calendar)
        @working = @windows.map { |window| @calendar.working(window) }
        @dancing = @calendar.bits(@problem.dancers)
        @on = @windows.each_index.group_by { |i| @dates[i] }
        tied = DaysOff.tied(@windows, @problem.night + minutes(@around), @problem.day_off)
        @tied = @windows.each_index.map { |i| @on[@dates[i]].size > 1 || tied.include?(i) }
        @limits = @on.to_h { |date, same| [date, limits_under(date, same)] }
      end

      def read_calendar
        @away = @windows.map { |window| @calendar.away(window) }
        @attendance = Attendance.new(@away, @windows.map { |window| @calendar.taken(window) },
                                     bits(@problem.minors), @windows.map { |window| @calendar.at_home(window) })
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

      def open_steps(job, window)
        return 0 unless @kinds.takes?(job, @windows[window])

        set = @attendance.open(job, window)
        set &= warm(window)
        job.through ? set : set & between(window)
      end

      # Steps of a window without what is kept for warming up and cooling down.
      def warm(window)
        first, last = @edges
        size = @steps[window]
        size <= first + last ? 0 : ((1 << (size - last)) - 1) & ~((1 << first) - 1)
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
