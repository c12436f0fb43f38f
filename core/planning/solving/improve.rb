# frozen_string_literal: true

module Core
  module Planning
    # Ruin and recreate (Schrimpf and others 2000): some jobs are taken out of a table and put in again where they cost
    # least; the result is kept when it is better, or not much worse early on. Seeded, limited by iterations.
    class Improve
      RUINS = %i[windows related scattered worst].freeze

      # last: the last window for runs; fixed: ids of jobs that stay where they are; stop: asked now and then, true ends
      # it.
      def initialize(table, random:, last:, score:, fixed: [], stop: -> { false })
        @table = table
        @frame = table.frame
        @random = random
        @last = last
        @score = score
        @free = @frame.jobs.reject { |job| fixed.include?(job.id) }
        @places = Places.new(table)
        @construct = Construct.new(@frame)
        @stop = stop
        @order = @frame.in_order.each_with_index.to_h { |job, i| [job.at, i] }
      end

      # How many iterations were made. until_placed: ends as soon as everything has its place.
      def run(iterations, until_placed: false, early: false)
        return 0 if @free.empty?

        @early = early
        now = best = @score.of(@table)
        kept = snapshot
        made = iterations.times do |i|
          break i if (until_placed && @table.unplaced.zero?) || (i.nobits?(7) && @stop.call)

          now, best, kept = step(now, best, kept, heat(i, iterations, best))
        end
        restore(kept)
        made
      end

      private

      def heat(at, iterations, best) = (best % Score::PLACED) * 0.012 * (1 - at.fdiv(iterations))

      def step(now, best, kept, heat)
        undo = ruin
        recreate(undo.keys)
        score = @score.of(@table)
        if score > now + (heat * @random.rand) || ahead?(undo.keys) || unsound?(undo)
          return [now, best, kept].tap { put_back(undo) }
        end
        return [score, best, kept] if score >= best

        [score, score, snapshot]
      end

      # Takes some jobs out: {job => its blocks}.
      def ruin
        @touched = send(RUINS[@random.rand(RUINS.size)]).uniq
        @touched.to_h { |job| [job, @table.take(job)] }
      end

      # Whether somebody has become cold where a job was taken out.
      def unsound?(undo) = undo.any? { |job, blocks| blocks.any? { |block| !@table.sound?(job.people, block.window) } }

      # Whether something stands that waits for a job which found no place again.
      def ahead?(jobs)
        jobs.any? { |job| !@table.placed?(job) && (job.before + job.before_window).any? { |i| @table.blocks[i].any? } }
      end

      # Everybody's waiting hangs together within a rehearsal: take one or two whole.
      def windows
        chosen = Array.new(1 + @random.rand(2)) { @random.rand(@frame.steps.size) }
        few(in_windows(chosen)) + lost
      end

      # Jobs that share most people with one, near it in time.
      def related
        seed = @free[@random.rand(@free.size)]
        near = (@free - [seed]).max_by(3 + @random.rand(5)) { |job| kinship(seed, job) + (@random.rand * 0.2) }
        [seed, *near, *lost]
      end

      def kinship(one, other)
        shared = Values::Bits.count(one.people & other.people).fdiv([Values::Bits.count(one.people), 1].max)
        apart = ((window_of(one) || 0) - (window_of(other) || 0)).abs
        shared - (apart * 0.15)
      end

      def window_of(job) = @table.blocks[job.at].first&.window

      def scattered = @free.sample(2 + @random.rand([@free.size / 4, 8].min + 1), random: @random) + lost

      # The rehearsal with the most waiting, and another.
      def worst
        dearest = @frame.steps.each_index.max_by { |window| @table.window_cost(window) * (0.5 + @random.rand) }
        few(in_windows([dearest, @random.rand(@frame.steps.size)])) + lost
      end

      def in_windows(windows)
        @free.select { |job| @table.blocks[job.at].any? { |block| windows.include?(block.window) } }
      end

      def few(jobs) = jobs.size > 14 ? jobs.sample(14, random: @random) : jobs
      def lost = @table.unplaced.zero? ? [] : @free.reject { |job| @table.placed?(job) }

      # In an order that respects what waits for what; among equals by chance.
      def recreate(jobs)
        noise = jobs.to_h { |job| [job, @random.rand] }
        sorted(jobs, noise).each do |job|
          bounds = @places.bounds(job, @construct.limit(job, @last)) or next
          next if bounds.last <= bounds.first

          @early ? @places.early(job, bounds) : @places.cheap(job, bounds, @random, @score)
        end
      end

      # Largest calls first, but nothing before what it waits for.
      def sorted(jobs, noise)
        by_tail = @early && @random.rand < 0.6
        left = jobs.sort_by do |job|
          if by_tail
            [job.urgent ? 0 : 1, -job.tail * (0.5 + noise[job]), job.at]
          else
            [0, -(job.steps * Values::Bits.count(job.people) * (0.5 + noise[job])), job.at]
          end
        end
        done = []
        until left.empty?
          ready =
            left.find { |job| (job.after + job.after_window).none? { |i| left.any? { |other| other.at == i } } } ||
            left.first
          left.delete(ready)
          done << ready
        end
        done
      end

      def put_back(undo)
        undo.each_key { |job| @table.take(job) }
        undo.each { |job, blocks| @table.put_back(job, blocks) }
      end

      def snapshot = @table.blocks.map(&:dup)

      def restore(kept)
        changed = @frame.jobs.reject { |job| @table.blocks[job.at] == kept[job.at] }
        changed.each { |job| @table.take(job) }
        changed.each { |job| @table.put_back(job, kept[job.at]) }
      end
    end
  end
end
