# frozen_string_literal: true

module Core
  module Planning
    # Ruin and recreate (Schrimpf and others 2000) under simulated annealing: a few jobs are taken out of a table and
    # put in again where they cost least, with a little noise; the result is kept when it is better, or not much worse,
    # and ever less so. Seeded, limited by how often a place was looked for.
    class Improve
      # Of the cost, what a step may be worse at first.
      HEAT = 0.06
      # Where a job is looked at less often than this in each window there is no time to cool: it begins less hot, by
      # so much at the most.
      LOOKS = 20.0
      COOLEST = 0.1
      # How often a job may go back into the window it was taken from.
      BACK = 0.15

      # So many rehearsals are looked at for a job at a time.
      SOME = 6

      # How often a job may also go between others that move up for it.
      SQUEEZED = 0.5

      # So many of the best tables met on the way are remembered.
      MET = 10
      # States of the best tables met, the last the best.
      attr_reader :met

      # last: the last window for runs; fixed: ids of jobs that stay where they are; stop: asked now and then, true ends
      # it.
      def initialize(table, random:, last:, score:, fixed: [], stop: -> { false })
        @table = table
        @frame = table.frame
        @random = random
        @last = last
        @score = score
        @free = @frame.jobs.reject { |job| fixed.include?(job.id) }
        @ruin = Ruin.new(table, @free, random)
        @places = Places.new(table)
        @squeeze = Squeeze.new(table, @places, (@frame.jobs - @free).to_h { |job| [job.at, true] })
        @construct = Construct.new(@frame)
        @stop = stop
        @met = []
      end

      # How often a place was looked for. until_placed: ends as soon as everything has its place; early: places are
      # filled from the front.
      def run(budget, until_placed: false, early: false)
        return 0 if @free.empty?

        @early = early
        @now = @best = @score.of(@table)
        @kept = @table.state
        @base = @table.cost
        @heat = HEAT * (budget / (@free.size * @frame.steps.size * LOOKS)).clamp(COOLEST, 1)
        steps = made = 0
        while made < budget
          break if (until_placed && @table.unplaced.zero?) || (steps.nobits?(15) && @stop.call)

          step(1 - made.fdiv(budget))
          steps += 1
          made = @places.tried + steps
        end
        @table.restore(@kept)
        made
      end

      private

      def step(left)
        heat = @base * @heat * left * left
        before = @table.state
        jobs = ruin(heat)
        score = @score.of(@table)
        return @table.restore(before) unless accepted?(score, heat) && !ahead?(jobs) && !unsound?(before)

        @now = score
        keep if score < @best
      end

      def keep
        @best = @now
        @kept = @table.state
        @met << @kept
        @met.shift if @met.size > MET
        @base = @table.cost
      end

      # Kept by chance when it is worse (Kirkpatrick and others 1983).
      def accepted?(score, heat)
        score <= @now || (heat.positive? && score - @now < -Math.log(1 - @random.rand) * heat * 0.5)
      end

      def ruin(heat)
        jobs = @ruin.jobs
        home = jobs.to_h { |job| [job.at, @table.take(job).map(&:window)] }
        in_turn(jobs).each { |job| recreate(job, home[job.at], heat) }
        jobs
      end

      def recreate(job, home, heat)
        bounds = @places.bounds(job, @construct.limit(job, @last)) or return
        return if bounds.last <= bounds.first
        return @places.early(job, bounds) if @early

        home = [] if @random.rand < BACK
        nil until @table.placed?(job) || !(place(job, bounds, home, heat) || place(job, bounds, [], heat))
      end

      # Puts a part of a job where it costs least but in these windows, between others' blocks or in a gap of theirs.
      def place(job, bounds, but, heat)
        but |= passed_over(bounds)
        noise = Hash.new do |all, window|
          all[window] = (@random.rand * heat * 0.5) + @score.of_load(@table, job, window)
        end
        found = @places.cheapest(job, *bounds) { |window| noise[window] unless but.include?(window) }
        between = @random.rand < SQUEEZED ? squeezed(job, bounds, but, noise) : nil
        if between && (found.nil? || less?(between, found, noise))
          @squeeze.put(between)
        elsif found
          @places.put(job, found)
        end
        !found.nil? || !between.nil?
      end

      # Of many rehearsals only some are looked at each time.
      def passed_over((low, high))
        from, to = [low, high].map { |time| time / Table::TIME }
        return [] if to - from < SOME

        (from..to).to_a - (from..to).to_a.sample(SOME, random: @random)
      end

      def less?(between, found, noise)
        between.minutes + noise[between.window] < found.price + noise[found.window]
      end

      def squeezed(job, bounds, but, noise)
        steps = @table.left[job.at]
        return if job.split && steps > @frame.most

        all = []
        @places.each_window(job, *bounds) do |window, _, _|
          found = @squeeze.of(job, window, steps) unless but.include?(window)
          all << found if found
        end
        all.min_by { |found| [found.minutes + noise[found.window], found.window] }
      end

      # By chance, the large ones rather first, and nothing before what it waits for.
      def in_turn(jobs)
        return jobs if jobs.size == 1

        left = jobs.sort_by { |job| [weight(job), job.at] }
        done = []
        until left.empty?
          ready = left.find { |job| (job.after + job.after_window).none? { |i| left.any? { |other| other.at == i } } }
          done << left.delete(ready || left.first)
        end
        done
      end

      def weight(job)
        return (-job.tail * (0.5 + @random.rand)) - (job.urgent ? 1_000_000 : 0) if @early && @random.rand < 0.6

        -(job.steps * Values::Bits.count(job.people) * (0.2 + @random.rand))
      end

      # Whether something stands that waits for a job which found no place again.
      def ahead?(jobs)
        jobs.any? do |job|
          !@table.placed?(job) && (job.before + job.before_window).any? { |i| @table.blocks[i].any? }
        end
      end

      # Whether somebody has become cold where a job was taken out.
      def unsound?((evenings, *))
        return false unless @frame.rewarm

        evenings.each_with_index.any? do |before, window|
          now = @table.evenings[window]
          !before.equal?(now) && (before.blocks - now.blocks).any? { |block| !@table.sound?(block.people, window) }
        end
      end
    end
  end
end
