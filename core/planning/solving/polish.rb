# frozen_string_literal: true

module Core
  module Planning
    # The exact order within each rehearsal whose blocks follow one another: by dynamic programming over subsets
    # (CallOrder), put in again one after the other; kept where the whole plan is better for it.
    class Polish
      def initialize(table, score)
        @table = table
        @frame = table.frame
        @score = score
        @places = Places.new(table)
      end

      def run(fixed: [])
        @fixed = fixed
        @frame.steps.each_index { |window| order(window) }
      end

      # Each rehearsal as early as it can begin: nobody comes for an empty hour.
      def start_early(fixed: [])
        @fixed = fixed
        @frame.steps.each_index { |window| early(window) }
      end

      private

      def order(window)
        pairs = blocks(window)
        unless pairs.size.between?(3, CallOrder::EXACT) && one_after_another?(pairs) &&
            pairs.none? { |job, _| @fixed.include?(job.id) }
          return
        end

        before = @score.of(@table)
        wanted = best(pairs).map { |at| pairs[at - 1] }
        pairs.each { |job, block| @table.take_block(job, block) }
        put = place(wanted, window)
        undo(put, pairs) unless put.size == pairs.size && @score.of(@table) < before
      end

      # Everything in a rehearsal as much earlier as all of it can be, unless the plan is worse for it.
      def early(window)
        pairs = blocks(window)
        first = pairs.map { |_, block| block.start }.min
        return if first.nil? || first.zero? || pairs.any? { |job, _| @fixed.include?(job.id) }

        before = @score.of(@table)
        pairs.each { |job, block| @table.take_block(job, block) }
        put = first.downto(1).lazy.filter_map { |steps| shifted(pairs, window, steps) }.first
        undo(put || [], pairs) if put.nil? || @score.of(@table) > before
      end

      # Blocks put so many steps earlier, or nil with nothing put.
      def shifted(pairs, window, steps)
        put = pairs.each_with_object([]) do |(job, block), done|
          start = block.start - steps
          break done unless @places.next_start(job, window, start, block.steps) == start

          @table.put(job, window, start, block.steps, @table.room_at(job, window, start, block.steps))
          done << [job, @table.blocks[job.at].last]
        end
        return put if put.size == pairs.size

        put.each { |job, block| @table.take_block(job, block) }
        nil
      end

      # [[job, block], …] in order of time.
      def blocks(window)
        pairs = @frame.jobs.flat_map { |job| @table.blocks[job.at].map { |block| [job, block] } }
        pairs.select { |_, block| block.window == window }.sort_by { |_, block| block.start }
      end

      def one_after_another?(pairs) = pairs.each_cons(2).all? { |(_, a), (_, b)| a.end <= b.start }

      def best(pairs)
        people = pairs.map { |job, _| job.people }
        calls = Values::Bits.to_a(people.reduce(0, :|)).map { |bit| people.map { |set| set[bit] }.join }
        index = pairs.each_with_index.to_h { |(job, _), i| [job.at, i] }
        after = pairs.each_with_index.to_h { |(job, _), i| [i, job.after.filter_map { |at| index[at] }] }
        CallOrder.new(pairs.map { |_, block| block.steps }, calls, after:).best.order
      end

      # Blocks put in that order, each as early as it goes after the start of the one before.
      def place(wanted, window)
        from = 0
        wanted.each_with_object([]) do |(job, block), put|
          start = @places.next_start(job, window, from, block.steps) or break put
          @table.put(job, window, start, block.steps, @table.room_at(job, window, start, block.steps))
          put << [job, @table.blocks[job.at].last]
          from = start + block.steps
        end
      end

      def undo(put, pairs)
        put.each { |job, block| @table.take_block(job, block) }
        pairs.each { |job, block| @table.put_back(job, [block]) }
      end
    end
  end
end
