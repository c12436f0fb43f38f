# frozen_string_literal: true

module Core
  module Planning
    # Whether one placed task can go to another window: the first place there that breaks nothing, or what breaks.
    class MoveCheck
      # kind: :away, :busy, :room, :before (something it waits for comes later), :after (something waits for it), :rest
      # or :long; who: ids of people; tasks: ids.
      Break = Struct.new(:kind, :who, :tasks, keyword_init: true)
      attr_reader :breaks

      # placements: of all tasks of the problem, as they are now.
      def initialize(problem, placements)
        @frame = IndexedProblem.new(problem)
        @table = Table.new(@frame)
        @windows = @frame.windows.each_with_index.to_h { |window, i| [window.id, i] }
        @grid = problem.grid
        @breaks = []
        placements.each { |placement| put(placement) }
      end

      # Placement of the task in a window, or nil; then breaks says why.
      def place(task, window)
        job = @frame.job(task)
        at = @windows[window]
        unless job && at && job.steps <= @frame.steps[at]
          return refuse([Break.new(kind: :long, who: [], tasks: [task])])
        end

        left = @table.take(job).map(&:window) - [at]
        unless left.all? { |before| @table.sound?(job.people, before) }
          return refuse([Break.new(kind: :rest, who: [], tasks: [task])])
        end

        found(job, at) || refuse(reasons(job, at))
      end

      private

      def put(placement)
        job = @frame.job(placement.task)
        window = @windows[placement.window]
        room = window && @frame.windows[window].rooms.index { |id, _| id == placement.room }
        start = placement.start / @grid
        return unless job && room && start >= 0 && start + (placement.minutes / @grid) <= @frame.steps[window]

        @table.put(job, window, start, placement.minutes / @grid, room)
      end

      def found(job, window)
        low, high = Places.new(@table).bounds(job, @frame.steps.size - 1)
        return unless low

        return if low / Table::TIME > window

        from = low / Table::TIME == window ? low % Table::TIME : 0
        start = start(job, window, from) or return
        return if (window * Table::TIME) + start + job.steps > high

        Placement.new(
          task: job.id,
          window: @frame.windows[window].id,
          start: start * @grid,
          minutes: job.steps * @grid,
          room: @frame.windows[window].rooms[@table.room_at(job, window, start, job.steps)].first
        )
      end

      # The first start from a step on at which also what it was taken from stays bearable.
      def start(job, window, from)
        while (start = Places.new(@table).next_start(job, window, from, job.steps))
          @table.put(job, window, start, job.steps, @table.room_at(job, window, start, job.steps))
          sound = @table.sound?(job.people, window)
          @table.take(job)
          return start if sound

          from = start + 1
        end
      end

      def refuse(found)
        @breaks = found
        nil
      end

      def reasons(job, window)
        found = [
          away(job, window),
          room(job, window),
          waits(job, window),
          wanted(job, window),
          busy(job, window)
        ].compact
        found.empty? ? [Break.new(kind: :rest, who: [], tasks: [job.id])] : found
      end

      def away(job, window)
        return unless Table.runs(@frame.open(job, window), job.steps).zero?

        gone = @frame.away[window].reduce(0, :|) & job.must
        Break.new(kind: :away, who: ids(gone), tasks: [])
      end

      def room(job, window)
        return unless @frame.rooms(job, window).empty? || @table.room_starts(job, window, job.steps).zero?

        Break.new(kind: :room, who: [], tasks: [])
      end

      def waits(job, window)
        late =
          (job.after + job.after_window).select do |i|
            (ends = @table.ends(@frame.jobs[i])) && ends / Table::TIME > window - (job.after_window.include?(i) ? 1 : 0)
          end
        late.any? ? Break.new(kind: :before, who: [], tasks: late.map { |i| @frame.jobs[i].id }) : nil
      end

      def wanted(job, window)
        early =
          (job.before + job.before_window).select do |i|
            (starts = @table.starts(@frame.jobs[i])) &&
              starts / Table::TIME < window + (job.before_window.include?(i) ? 1 : 0)
          end
        early.any? ? Break.new(kind: :after, who: [], tasks: early.map { |i| @frame.jobs[i].id }) : nil
      end

      def busy(job, window)
        return unless Table.runs(@table.free(job, window), job.steps).zero?

        others =
          @frame.jobs.select do |other|
            other != job && other.people.anybits?(job.people) &&
              @table.blocks[other.at].any? { |block| block.window == window }
          end
        Break.new(kind: :busy, who: ids(job.people & others.map(&:people).reduce(0, :|)), tasks: others.map(&:id))
      end

      def ids(set) = Values::Bits.to_a(set).map { |bit| @frame.people[bit] }
    end
  end
end
