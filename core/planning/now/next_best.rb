# frozen_string_literal: true

module Core
  module Planning
    # With these minutes, these people and this room: what moves the piece most. Every offer fits into the minutes,
    # names who dances it, and says what it opens: how much longer the longest chain becomes, how many blocks of the
    # next kind of run fall, how many rungs are climbed. It takes every offer to bring those who dance it one rung on (a
    # lesson that ends a section: to slow counts); that is what a slot is planned for, and no promise.
    class NextBest
      # kind: run, learn, join, drill, review or catch_up; item: what, of a run its first link; links: of a run;
      # people: who dances it; minutes: how long; eights: new ones of a lesson; longer: links; blocks: that fall; rungs:
      # climbed.
      Offer = Struct.new(:kind, :item, :people, :minutes, :eights, :longer, :blocks, :rungs, :value, :links,
                         keyword_init: true)
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

      # [Offer]: the longest chain that runs with those who are there, danced through once, where it is two links or
      # more and fits; it brings everybody in it a rung on.
      def run
        chain = chains(@progress).all.first
        return [] unless chain && chain.length > 1

        task = @tasks.run(chain.from..chain.to, @people)
        return [] if task.minutes > @minutes || task.climbed.empty?

        blocks = now_blocks - blocks(@progress.with(task.climbed))
        rungs = task.climbed.sum { |key, cells| cells.sum { |who, cell| cell.rung - @progress.rung(who, key) } }
        [Offer.new(kind: "run", item: task.item, people: task.people, minutes: task.minutes, eights: nil, longer: 0,
                   blocks:, rungs:, value: rungs, links: chain.from..chain.to)]
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

      def longest(progress) = chains(progress).all.first&.length.to_i
      def chains(progress) = Learning::LongestChains.new(present: @people, items: @items, progress:, **@chain)

      def blocks(progress) = Learning::Readiness.new(@items, progress, kind: @kind).blocks.size
    end
  end
end
