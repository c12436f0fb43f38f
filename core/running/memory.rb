# frozen_string_literal: true

module Core
  module Running
    # Questions from a piece's own chain: what comes after a place, what comes before it, which time a section has which
    # ending, on which foot a link ends. Every question has one right answer among its choices: a place is named so that
    # it is one place only, choices differ, and what is not known is not asked.
    class Memory
      # kind: :after, :before, :which or :ends_on; about: what it is about (indexes of links, the first is the place);
      # choices: keys, in the order in which they are shown; answer: the right one of them. Keys are indexes of links (0
      # before the first, links + 1 after the last) for :after, :before and :which, else :left, :right or :both.
      # join: the join (by the link it leaves) that it asks, or nil.
      Question = Struct.new(:kind, :about, :choices, :answer, :join, keyword_init: true)
      CHOICES = 3
      MOST = 5
      FEET = %i[left right both].freeze

      # order: Piece::RunningOrder; exits: {link index => :left, :right or :both, the free foot where it is known}.
      def initialize(order, exits: {})
        @links = order.links
        @exits = exits
      end

      # All questions about these links (indexes; nil for all), none twice. Which choices are beside the right one is up
      # to random.
      def all(among: nil, random: Random.new(0))
        asked = @links.flat_map { |placed| [after(placed, random), before(placed, random), ends_on(placed)] }
        asked += repeated.filter_map { |same| which(same) }
        asked.compact.select { |question| among.nil? || question.about.intersect?(among) }
      end

      # At most five: a sure one to begin with, then the least sure. sure: ->(question) { 0.0 to 1.0 }.
      def round(sure:, among: nil, random: Random.new(0))
        asked = all(among:, random:).shuffle(random:).sort_by.with_index { |each, i| [sure.call(each), i] }
        return asked if asked.size <= 1

        [asked.last, *asked[0..-2].first(MOST - 1)]
      end

      private

      def after(placed, random)
        right = placed.index + 1
        choices = choices(right, placed.index, random) or return
        join = placed.index if right <= @links.size
        Question.new(kind: :after, about: [placed.index], choices:, answer: right, join:)
      end

      def before(placed, random)
        right = placed.index - 1
        choices = choices(right, placed.index, random) or return
        join = right if right.positive?
        Question.new(kind: :before, about: [placed.index], choices:, answer: right, join:)
      end

      # Two others that are danced otherwise than the right one, and otherwise than each other.
      def choices(right, asked, random)
        others = (1..@links.size).to_a - [right, asked]
        different = others.uniq { |index| danced(index) }.reject { |index| danced(index) == danced(right) }
        return if different.empty?

        [right, *different.sample(CHOICES - 1, random:)].sort
      end

      # What tells one place from another: places that are danced alike cannot both be choices.
      def danced(index)
        return index if index.zero? || index > @links.size

        link = @links[index - 1].link
        [link.section.id, link.mirrored, link.changes]
      end

      # Sections danced several times: [[PlacedLink]].
      def repeated = @links.group_by { |placed| placed.section.id }.values.select { |same| same.size > 1 }

      # Which time it is danced otherwise, where that is so of one time only.
      def which(same)
        odd = odd_one(same) or return
        Question.new(kind: :which, about: [odd.index], choices: same.map(&:index), answer: odd.index, join: nil)
      end

      def odd_one(same)
        altered = same.select { |placed| placed.link.altered? }
        mirrored = same.select { |placed| placed.link.mirrored }
        return altered.first if altered.one?

        mirrored.first if altered.empty? && mirrored.one?
      end

      def ends_on(placed)
        foot = @exits[placed.index]
        return unless FEET.include?(foot)

        Question.new(kind: :ends_on, about: [placed.index], choices: FEET, answer: foot, join: nil)
      end
    end
  end
end
