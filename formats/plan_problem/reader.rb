# frozen_string_literal: true

module Formats
  module PlanProblem
    # Reads and checks a plan-problem-1 object.
    class Reader
      Planning = Core::Planning
      CLOCK = "a time of day like 18:30"
      # Stands in for a date that was refused, so that the rest of the file is still read.
      NO_DAY = "2000-01-01"
      private_constant :Planning, :CLOCK, :NO_DAY

      def initialize(data)
        @report = Fields.report
        @fields = Fields.new(data, "", @report)
      end

      def problem
        read = everything
        check(read) if @report.faults.empty?
        @fields.close
        @report.finish
        [Planning::Problem.new(**read), @report.notes]
      end

      private

      def everything
        @fields.skip("title")
        @stepped = []
        {
          **figures,
          dancers: @fields.ids("dancers"),
          choreographers: @fields.ids("choreographers"),
          windows:,
          tasks:,
          unavailable:,
          limits:,
          plan: earlier,
          done:,
          now: @fields.text("now", default: nil),
          wheels: @fields.ids("wheels"),
          stepped: @stepped,
          **care
        }
      end

      # What is kept for bodies and for recap and music.
      def care
        {
          rewarm:,
          lately: @fields.list("lately") { |task| task_of(task) },
          **{ frame_minutes: "frame_minutes", recap: "recap", to_music: "to_music" }.transform_values do |name|
            @fields.integer(name, max: 240, default: 0)
          end
        }
      end

      # Idle for so long, and somebody warms up again for so many minutes.
      def rewarm
        @fields.object("rewarm") { |found| [found.integer("idle", min: 1), found.integer("minutes", min: 1)] }
      end

      def figures
        {
          grid: @fields.integer("grid", min: 1, max: 60, default: 5),
          min_part: @fields.integer("min_part", min: 1, default: 15),
          max_part: @fields.integer("max_part", min: 1, default: 60),
          max_continuous: @fields.integer("max_continuous", min: 1, default: 55),
          break_minutes: @fields.integer("break", min: 0, default: 5),
          trip_cost: @fields.integer("trip_cost", default: 30),
          show_date: day(@fields, "show_date", default: nil),
          target_window: @fields.text("target_window", default: nil),
          most_new_eights: @fields.integer("most_new_eights", min: 1, max: 1000, default: nil),
          rests:
        }
      end

      # Further rests: so many minutes at the most without one of that length.
      def rests
        @fields.list("rests") { |rest| [rest.integer("most", min: 1), rest.integer("rest", min: 1)] }
      end

      def windows
        @fields.list("windows") { |window| window(window) }
      end

      def window(fields)
        rooms = fields.list("rooms") { |room| room(room) }
        Planning::Window.new(id: fields.text("id"), date: day(fields, "date") || NO_DAY,
                             start: clock(fields, "start"), finish: clock(fields, "end"), rooms:)
      end

      def room(fields)
        id = fields.text("id")
        @stepped |= [id] if fields.flag("steps")
        [id, fields.integer("capacity", max: 100_000)]
      end

      # A date that the calendar has; nil with a fault otherwise.
      def day(fields, name, default: Fields::MISSING)
        text = fields.match(name, Times::DATE, "a date like 2027-05-01", default:)
        return text if text.nil? || Date.valid_date?(*text.split("-").map(&:to_i))

        fields.fault(fields.at(name), "is no day of the calendar: #{text}")
        nil
      end

      def clock(fields, name, default: Fields::MISSING)
        Times.minutes(fields.match(name, Times::CLOCK, CLOCK, default:))
      end

      def tasks
        @fields.list("tasks") { |task| task_of(task) }
      end

      def task_of(task)
        task.skip("title", "links", "rows", "note")
        Planning::Task.new(
          id: task.text("id"),
          kind: task.choice("kind", Planning::Task::KINDS),
          minutes: task.integer("minutes", min: 1, max: 100_000),
          split: task.flag("split"),
          dancers: task.texts("dancers"),
          choreographers: task.texts("choreographers"),
          sections: task.texts("sections"),
          after: task.texts("after"),
          after_window: task.texts("after_window"),
          eights: task.number("eights", min: 0, max: 10_000, default: 0),
          links: (task.integers("link_indexes") if task.given?("link_indexes"))
        )
      end

      def unavailable
        @fields.list("unavailable") do |entry|
          flags = %w[work frame].select { |name| entry.flag(name) }.to_h { |name| [name.to_sym, true] }
          {
            who: entry.text("who"),
            date: entry.match("date", Times::DATE, "a date like 2027-05-01"),
            from: clock(entry, "from", default: nil),
            to: clock(entry, "to", default: nil),
            **flags
          }
        end
      end

      def limits
        @fields.list("limits") { |limit| { who: limit.text("who"), minutes_per_day: limit.integer("minutes_per_day") } }
      end

      def earlier = blocks("plan")

      def blocks(name)
        @fields.list(name) { |block| block_of(block) }
      end

      def block_of(block)
        Planning::Placement.new(
          task: block.text("task"),
          window: block.text("window"),
          start: block.integer("start"),
          minutes: block.integer("minutes"),
          room: block.text("room")
        )
      end

      def done = @fields.list("done") { |entry| [entry.text("task"), entry.integer("minutes")] }.to_h

      def check(read)
        unique("windows", read[:windows].map(&:id))
        unique("tasks", read[:tasks].map(&:id))
        strangers([read[:now]].compact - read[:windows].map(&:id), "now")
        strangers([read[:target_window]].compact - read[:windows].map(&:id), "target_window")
        check_grid(read)
        check_windows(read)
        read[:tasks].each_with_index { |task, i| check_task(task, i, read) }
      end

      def unique(name, ids)
        ids.tally.each { |id, times| @fields.fault(name, "the id #{id.inspect} is used #{times} times") if times > 1 }
      end

      def check_grid(read)
        %i[min_part max_part recap to_music].each do |name|
          unless (read[name] % read[:grid]).zero?
            @fields.fault(name.to_s, "must be a multiple of the grid (#{read[:grid]}), got #{read[name]}")
          end
        end
      end

      def check_windows(read)
        read[:windows].each_with_index do |window, i|
          @fields.fault("windows[#{i}].end", "must be after start") if window.finish <= window.start
          unless (window.minutes % read[:grid]).zero?
            @fields.fault("windows[#{i}].end", "length must be a multiple of the grid (#{read[:grid]})")
          end
        end
        read[:windows].each_cons(2).with_index { |(a, b), i| check_sequence(a, b, i + 1) }
      end

      def check_sequence(earlier, later, index)
        return if ([earlier.date, earlier.finish] <=> [later.date, later.start]) <= 0

        @fields.fault("windows[#{index}]", "must come after the one before, in time order and without overlap")
      end

      def check_task(task, index, read)
        unless (task.minutes % read[:grid]).zero?
          @fields.fault(
            "tasks[#{index}].minutes",
            "must be a multiple of the grid (#{read[:grid]}), got #{task.minutes}"
          )
        end
        strangers(task.dancers - read[:dancers], "tasks[#{index}].dancers")
        strangers(task.choreographers - read[:choreographers], "tasks[#{index}].choreographers")
        strangers(task.before - read[:tasks].map(&:id), "tasks[#{index}].after")
      end

      def strangers(ids, where)
        ids.each { |id| @fields.fault(where, "names #{Fields.shown(id)}, which is not in the file") }
      end
    end
  end
end
