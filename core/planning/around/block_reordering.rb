# frozen_string_literal: true

module Core
  module Planning
    # Blocks of one rehearsal set anew, for Bookends: around a recap, or earlier where nothing needs the time kept for
    # one.
    module BlockReordering
      private

      # Everything of a rehearsal anew: recaps, then its blocks in the order they had, then the music. Kept when no
      # block is lost and more is placed.
      def around(window, wishes)
        before =
          wishes
            .select { |wish| @chosen.key?(wish) }
            .to_h { |wish| [wish, @chosen[wish].to_h { |job| [job, @table.take(job)] }] }
        wishes.each { |wish| @chosen.delete(wish) }
        blocks = blocks_of(window)
        blocks.each { |job, block| @table.take_block(job, block) }
        done = again(window, wishes, blocks)
        restore(window, wishes, blocks, before) unless done && wishes.count { |wish| @chosen.key?(wish) } > before.size
      end

      # A rehearsal that begins just after the minutes kept for a recap begins that much earlier, all of it.
      def close_up(window)
        kept = @problem.recap.fdiv(@problem.grid).ceil
        return if @fixed.include?(@frame.windows[window].id)

        blocks = blocks_of(window, @frame.jobs)
        return unless blocks.first&.last&.start == kept

        blocks.each { |job, block| @table.take_block(job, block) }
        moved = blocks.map { |job, block| earlier(job, block, kept) or break }
        return if moved

        put_back(window, blocks)
      end

      # A rehearsal's blocks where they were.
      def put_back(window, blocks)
        blocks.map(&:first).uniq
          .each do |job|
            @table.blocks[job.at]
              .select { |block| block.window == window }
              .each { |block| @table.take_block(job, block) }
          end
        blocks.each { |job, block| @table.put_back(job, [block]) }
      end

      def earlier(job, block, steps)
        start = block.start - steps
        wanted = ((1 << block.steps) - 1) << start
        unless @table.free(job, block.window).allbits?(wanted) && @table.room_free?(block.window, block.room, wanted) &&
            @table.bearable?(block.people, block.window, start, block.steps)
          return
        end

        @table.put(job, block.window, start, block.steps, block.room)
        true
      end

      def blocks_of(window, jobs = @work)
        pairs = jobs.flat_map { |job| @table.blocks[job.at].map { |block| [job, block] } }
        pairs.select { |_, block| block.window == window }.sort_by { |job, block| [block.start, job.at] }
      end

      def again(window, wishes, blocks)
        recaps, musics = wishes.partition { |wish| wish.kind == "recap" }
        recaps.each { |wish| first(wish) }
        set = blocks.all? { |job, block| set_again(job, block, window) }
        set && choose_all(window, musics)
        set
      end

      # A recap of everybody together, as early as it goes.
      def first(wish)
        job = @frame.job(@choices[wish].last.first.id)
        start = @places.next_start(job, wish.window, 0, job.steps) or return
        @table.put(job, wish.window, start, job.steps, @table.room_at(job, wish.window, start, job.steps))
        @chosen[wish] = [job]
      end

      def set_again(job, block, window)
        low, = @places.bounds(job, @frame.steps.size - 1)
        from = low && low / Table::TIME == window ? low % Table::TIME : 0
        start = low && @places.next_start(job, window, from, block.steps) or return
        @table.put(job, window, start, block.steps, @table.room_at(job, window, start, block.steps))
        true
      end

      def restore(window, wishes, blocks, before)
        wishes.each { |wish| @chosen.delete(wish)&.each { |job| @table.take(job) } }
        put_back(window, blocks)
        before.each { |wish, jobs| @chosen[wish] = jobs.map { |job, kept| @table.put_back(job, kept) && job } }
      end
    end
  end
end
