# frozen_string_literal: true

module Core
  module Planning
    # The earliest window in which the last run can lie, whatever the plan: from what waits for what, and from the
    # minutes that each person who must be there, and the new material each of them, has before it. A relaxation:
    # nothing earlier is possible.
    class Bound
      def initialize(frame)
        @frame = frame
        @size = frame.steps.size
      end

      # Index of a window; the number of windows when not even the relaxation fits.
      def ready
        last = @frame.runs? ? @frame.jobs.select(&:run) : @frame.jobs
        last.map { |job| earliest[job.at] }.max || 0
      end

      # The earliest window each job can end in: [index, …]. It comes after what it waits for; each part of it needs a
      # window of its own; a run comes after all the minutes and all the new material before it.
      def earliest
        @earliest ||= begin
          found = Array.new(@frame.jobs.size, 0)
          @frame.in_order.each { |job| found[job.at] = first_end(job, found) }
          found
        end
      end

      private

      def first_end(job, found)
        from = [
          0,
          *job.after.map { |i| found[i] },
          *job.after_window.map { |i| found[i] + 1 },
          *(job.run || !@frame.runs? ? [by_minutes(job), by_new(job)] : [])
        ].max
        left = job.steps
        (from...@size).each do |window|
          longest = longest(job, window)
          next if longest.zero? || (!job.split && longest < job.steps)

          left -= job.split ? [longest, @frame.most].min : job.steps
          return window if left <= 0
        end
        @size
      end

      # The longest run of steps a job could have in a window, rests aside.
      def longest(job, window)
        return 0 if @frame.rooms(job, window).empty? || @frame.open(job, window).zero?

        most = [@frame.steps[window], @frame.rests.first.first].min
        (1...most).bsearch { |steps| Table.runs(@frame.open(job, window), steps + 1).zero? } || most
      end

      # All a person has to do up to a job must fit before it.
      def by_minutes(job)
        before = ancestors(job)
        Values::Bits.to_a(job.must).map do |bit|
          need = before.sum { |i| @frame.jobs[i].must[bit] == 1 ? @frame.jobs[i].steps : 0 }
          have(bit).index { |steps| steps >= need } || @size
        end.max || 0
      end

      def ancestors(job)
        seen = {}
        open = [job.at]
        while (at = open.pop)
          next if seen[at]

          seen[at] = true
          open.concat(@frame.jobs[at].after, @frame.jobs[at].after_window)
        end
        seen.keys
      end

      # Steps a person has up to the end of each window.
      def have(bit)
        @have ||= {}
        @have[bit] ||= begin
          sum = 0
          @frame.away.map { |steps| sum += steps.count { |gone| gone[bit].zero? } }
        end
      end

      # New material a dancer takes in is capped per rehearsal.
      def by_new(job)
        return 0 unless @frame.cap

        eights = Hash.new(0.0)
        ancestors(job).each do |i|
          job = @frame.jobs[i]
          job.fresh.each { |who| eights[who] += job.rate * job.steps if job.must[who] == 1 }
        end
        eights.map { |who, total| nth_window(who, ((total / @frame.cap) - 1e-6).ceil - alone_allowance) }.max || 0
      end

      # A block that holds more than the cap may stand alone; then the count of rehearsals says less.
      def alone_allowance
        @alone_allowance ||= @frame.jobs.any? { |each| !each.split && each.rate * each.steps > @frame.cap } ? 10_000 : 0
      end

      def nth_window(bit, count)
        return 0 if count <= 0

        windows = @frame.away.each_index.select { |window| @frame.away[window].any? { |gone| gone[bit].zero? } }
        windows[count - 1] || @size
      end
    end
  end
end
