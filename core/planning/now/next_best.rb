# frozen_string_literal: true

module Core
  module Planning
    # With these minutes, these people and this room: what moves the piece most. Every offer fits into the minutes,
    # names who dances it, and says what it opens: how much longer the longest chain becomes, how many blocks of the
    # next kind of run fall, how many rungs are climbed. It takes every offer to bring those who dance it one rung on (a
    # lesson that ends a section: to slow counts); that is what a slot is planned for, and no promise.
    class NextBest
      # kind: learn, join, drill, review or catch_up; item: what; people: who dances it; minutes: how long; eights: new
      # ones of a lesson; helper: the buddy of a catch-up; longer: links; blocks: that fall; rungs: climbed.
      Offer = Struct.new(:kind, :item, :people, :minutes, :eights, :longer, :blocks, :rungs, :value, keyword_init: true)
      # What a link more in the longest chain, and a block less, are worth beside one rung of one dancer.
      LINK = 40.0
      BLOCK = 20.0
      # Of those who dance something at least so many must be there for a lesson or a join.
      ENOUGH = 0.6
      LEAST = 5

      # tasks: NextTasks; minutes: Integer; people: ids of the dancers who are there; kind: of Readiness to work
      # towards; chain: arguments of LongestChains beside items, progress and present.
      def initialize(tasks, minutes:, people:, kind:, chain:)
        @tasks = tasks
        @minutes = minutes
        @people = people
        @kind = kind
        @chain = chain
        @items = tasks.items
        @progress = tasks.progress
      end

      # [Offer], the best first.
      def offers(most: 4)
        return [] if @people.empty? || @minutes < LEAST

        @tasks.fitting(@minutes, @people).map { |task| offer(task) }.select { |each| each.value.positive? }
          .sort_by.with_index { |each, i| [-each.value, i] }
          .first(most)
      end

      private

      def offer(task)
        after = @progress.with({ task.item.key => task.climbed })
        longer = longest(after) - now_longest
        blocks = now_blocks - blocks(after)
        rungs = task.climbed.sum { |person, cell| cell.rung - @progress.rung(person, task.item.key) }
        worth = (longer * LINK) + (blocks * BLOCK) + rungs + (task.refreshed * 0.5)
        Offer.new(kind: task.kind, item: task.item, people: task.people, minutes: task.minutes, eights: task.eights,
                  longer:, blocks:, rungs:, value: worth / Math.sqrt(task.minutes))
      end

      def now_longest = @now_longest ||= longest(@progress)
      def now_blocks = @now_blocks ||= blocks(@progress)

      def longest(progress)
        chains = Learning::LongestChains.new(present: @people, items: @items, progress:, **@chain)
        chains.all.first&.length.to_i
      end

      def blocks(progress) = Learning::Readiness.new(@items, progress, kind: @kind).blocks.size
    end
  end
end
