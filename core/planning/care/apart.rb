# frozen_string_literal: true

module Core
  module Planning
    # What has to lie apart on a day: two things danced full out by the same people, and rooms of different sites that
    # somebody goes between.
    class Apart
      # Minutes between two things danced full out.
      FULL_OUT = 20

      def initialize(table)
        @table = table
        @frame = table.frame
        @gap = FULL_OUT.fdiv(@frame.minutes(1)).ceil
        @way = @frame.problem.between_sites.fdiv(@frame.minutes(1)).ceil
        @most = @frame.problem.full_out_a_day
        @days_off = DaysOff.new(table)
        @sites = @way.positive? && @frame.problem.sites.values.uniq.size > 1
      end

      # Whether a job may lie where a choice has it.
      def allow?(job, choice)
        full_out?(job, choice) && @days_off.allow?(choice) && (!@sites || !room(job, choice).nil?)
      end

      # The smallest room for a choice whose site everybody reaches in time, or nil; nil also where nothing asks for it.
      def room(job, choice)
        return unless @sites

        wanted = ((1 << choice.steps) - 1) << choice.start
        @frame.rooms(job, choice.window).find do |room|
          @table.room_free?(choice.window, room, wanted) && reached?(choice, site(choice.window, room))
        end
      end

      private

      def full_out?(job, choice)
        return true unless job.marks.include?("full_out")

        near(choice, @gap).none? { |block| full?(block) } && bearable?(choice)
      end

      def full?(block) = block.job.marks.include?("full_out")

      # Whether what these people dance full out on that day comes to no more than it should; one thing always may.
      def bearable?(choice)
        return true unless @most

        blocks = on_that_day(choice).select { |block| full?(block) && block.people.anybits?(choice.people) }
        Values::Bits.to_a(choice.people).none? do |bit|
          own = blocks.select { |block| block.people[bit] == 1 }
          own.any? && @frame.minutes(own.sum(&:steps) + choice.steps) > @most
        end
      end

      def reached?(choice, site)
        near(choice, @way).all? { |block| site(block.window, block.room) == site }
      end

      def site(window, room) = @frame.problem.sites[@frame.windows[window].rooms[room].first]

      # Blocks of the same people on that day that lie nearer than so many steps.
      def near(choice, steps)
        from = at(choice.window, choice.start)
        to = from + choice.steps
        on_that_day(choice).select do |block|
          block.people.anybits?(choice.people) && at(block.window, block.end) + steps > from &&
            at(block.window, block.start) < to + steps
        end
      end

      def on_that_day(choice)
        @frame.on(@frame.dates[choice.window]).flat_map { |window| @table.evenings[window].blocks }
      end

      # Steps since midnight.
      def at(window, step) = (@frame.windows[window].start / @frame.minutes(1)) + step
    end
  end
end
