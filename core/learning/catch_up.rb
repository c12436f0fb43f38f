# frozen_string_literal: true

module Core
  module Learning
    # The smallest list that gets one dancer back among the others: what they have and this one has not, in running
    # order, up to the rung the others dance it at and no further than at tempo; each with minutes and a buddy who has
    # it. One rung is made up by dancing along; it is listed only where nothing was seen yet.
    #
    #   CatchUp.new(items, progress, minutes: ->(item, climb) { … }).for(:nell)  # => [Lag]
    class CatchUp
      # item: what; rung: where they are; pace: where they are to get, both numbers; minutes: as the estimate says;
      # buddy: a person, or nil where nobody who may be asked has it.
      Lag = Struct.new(:item, :rung, :pace, :minutes, :buddy, keyword_init: true)
      MOST = "tempo"

      # minutes: asked with an item and the share of learning it that is left, 0 to 1; groups: {person => [group]}.
      def initialize(items, progress, minutes:, groups: {})
        @items = items
        @progress = progress
        @minutes = minutes
        @groups = groups
        @pace = Pace.new(items, progress)
        @most = progress.ladder.index(MOST)
      end

      # [Lag]; among: whom to ask (those present), or nil for everybody.
      def for(person, among: nil)
        wanted = lags(person)
        helpers = helpers(person, wanted, among)
        wanted.map { |item| line(person, item, helpers) }
      end

      # People with something to catch up on, those with most of it first: [[person, [Item]], …].
      def everybody
        @items.everybody.map { |person| [person, lags(person)] }.reject { |_, items| items.empty? }
          .sort_by { |_, items| -items.size }
      end

      private

      def lags(person)
        @items.for(person).select do |item|
          rung = @progress.rung(person, item.key)
          pace = target(item)
          pace - rung >= 2 || (rung.zero? && pace.positive?)
        end
      end

      def target(item) = [@pace.of(item), @most].min

      def line(person, item, helpers)
        rung = @progress.rung(person, item.key)
        pace = target(item)
        Lag.new(
          item:,
          rung:,
          pace:,
          minutes: @minutes.call(item, (pace - rung).fdiv(@most)),
          buddy: helpers.find { |helper| has?(helper, item) }
        )
      end

      # Those who have most of it first, so that one buddy is enough where that can be; the own group before others.
      def helpers(person, wanted, among)
        people = wanted.flat_map { |item| @items.dancers(item) }.uniq - [person]
        people &= among unless among.nil?
        people.sort_by.with_index do |helper, i|
          [-wanted.count { |item| has?(helper, item) }, together?(helper, person) ? 0 : 1, i]
        end
      end

      def has?(helper, item)
        @items.dancers(item).include?(helper) && @progress.rung(helper, item.key) >= [target(item), 1].max
      end

      def together?(one, other) = @groups.fetch(one, []).intersect?(@groups.fetch(other, []))
    end
  end
end
