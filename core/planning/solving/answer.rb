# frozen_string_literal: true

module Core
  module Planning
    # A table as people read it: placements, who comes to each, what is caught up and who warms up when, and what counts
    # against it by name.
    class Answer
      # Of one placement: ids of who leads it (nil where nobody is chosen), who is there, who of it misses it, and the
      # minutes of the rehearsal's clock of those who are not there all the time: {who => [from, to]}.
      Party = Struct.new(:lead, :there, :missing, :hours, keyword_init: true)

      # problem: of whose tasks it tells; the table may hold recaps and the like besides.
      def initialize(table, problem)
        @table = table
        @frame = table.frame
        @problem = problem
        @tasks = problem.tasks.to_h { |task| [task.id, true] }
      end

      # [Placement].
      def placements = @placements ||= blocks.map { |block| place(block) }

      # {Placement => Party}; only where somebody may miss something, or who leads is chosen.
      def parties
        blocks.reject { |block| block.job.plain? }.to_h { |block| [place(block), party(block)] }
      end

      # [WarmBlocks::Block]: what the plan adds of its own, caught up first.
      def own
        @own ||= begin
          caught = catching_up.all.map { |found| caught_up(found) }
          around = @problem.warm_up + @problem.cool_down
          around.positive? || @problem.re_warm_after ? caught + WarmBlocks.new(@table).all : caught
        end
      end

      # All that a Plan says beside its placements. ends: Bookends, or nil.
      def around(ends)
        { parties:, prices:, own:, unplaced_catch_ups:, bookends: ends&.all || [],
          missing_bookends: ends&.missing || [] }
      end

      # Minutes of catching up without a place.
      def unplaced_catch_ups = catching_up.unplaced

      # Person-minutes by name: waiting, coming, missed, leads, and what EveningPrice names.
      def prices
        coming = @problem.trip_cost * @table.evenings.sum { |evening| Values::Bits.count(evening.spans.last) }
        extra = blocks.sum(&:extra)
        leads = blocks.sum { |block| block.job.leads.empty? ? 0 : block.job.leads[block.lead].last }
        more = further
        { waiting: @table.cost - coming - extra - more.values.sum, coming:, missed: extra - leads, leads:, **more }
      end

      private

      def further
        evenings = @table.evenings.each_with_index.reject { |evening, _| evening.blocks.empty? || @frame.prices.nil? }
        named = evenings.map { |evening, window| @frame.prices.named(evening, window) }
        named.reduce { |sum, each| sum.merge(each) { |_, one, other| one + other } } || {}
      end

      def blocks
        @blocks ||= @table.blocks.first(@frame.jobs.size).flatten.select { |block| @tasks[block.job.id] }
      end

      def catching_up = @catching_up ||= MissedLessons.new(@table)

      def place(block)
        window = @frame.windows[block.window]
        Placement.new(task: block.job.id, window: window.id, start: @frame.minutes(block.start),
                      minutes: @frame.minutes(block.steps), room: window.rooms[block.room].first, lead: lead(block))
      end

      def lead(block) = block.job.leads.empty? ? nil : ids(block.job.leads[block.lead].first)

      def party(block)
        Party.new(lead: lead(block) || [], there: ids(block.people), missing: ids(block.job.people & ~block.people),
                  hours: Values::Bits.to_a(block.late).to_h { |bit| [@frame.people[bit], hours(block, bit)] })
      end

      def hours(block, bit)
        here = (block.start...block.end).select { |step| @frame.away[block.window][step][bit].zero? }
        [@frame.minutes(here.first), @frame.minutes(here.last + 1)]
      end

      def caught_up(found)
        at = place(found.block)
        lead = ids(found.block.job.leads[found.block.lead].first)
        WarmBlocks::Block.new(kind: "catch_up", window: at.window, start: at.start, minutes: at.minutes, room: at.room,
                              who: ids(found.block.job.must), lead:, of: found.of.id)
      end

      def ids(set) = Values::Bits.to_a(set).map { |bit| @frame.people[bit] }
    end
  end
end
