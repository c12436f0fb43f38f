# frozen_string_literal: true

module Core
  module Learning
    # Everybody's cells of one piece, to be read by planning and joins. cells: {item key => {person id => Cell}}, of the
    # dancers' own parts. way: what makes something count as learned; ways: {item key => Way} where it is another.
    # strands: {Strand => cells} of what is learned beside them.
    class Progress
      NONE = Cell.new
      EMPTY = {}.freeze
      private_constant :EMPTY

      attr_reader :ladder

      def initialize(cells = {}, ladder: Ladder::DEFAULT, way: Way::DEFAULT, ways: {}, strands: {})
        @cells = cells
        @ladder = ladder
        @way = way
        @ways = ways
        @strands = strands
      end

      # The Progress along a strand; an empty one where nothing was ever ticked on it.
      def on(strand)
        strand.own? ? self : Progress.new(@strands.fetch(strand, {}), ladder:, way: @way, ways: @ways)
      end

      # The Cell of a person (id) and an item (key); one without entries where there is none.
      def cell(person, key) = (@cells[key] || EMPTY).fetch(person, NONE)

      # Its rung, a number from 0.
      def rung(person, key) = cell(person, key).rung

      # Whether they have it, in the way that counts for it.
      def learned?(person, key) = way(key).learned?(cell(person, key), ladder)

      # What makes an item (key) count as learned.
      def way(key) = @ways.fetch(key, @way)

      # Whether somebody is at a rung, by its name, or above.
      def at_least?(person, key, rung) = rung(person, key) >= ladder.index(rung)

      # Share (0 to 1) of these people at a rung (its name, or its number) or above, or of those who have it where no
      # rung is given; 1.0 of nobody.
      def share(people, key, at: nil)
        return 1.0 if people.empty?
        return people.count { |person| learned?(person, key) }.fdiv(people.size) if at.nil?

        least = at.is_a?(String) ? ladder.index(at) : at
        cells = @cells[key] || EMPTY
        people.count { |person| cells.fetch(person, NONE).rung >= least }.fdiv(people.size)
      end

      # The same with some cells in place of theirs: {item key => {person id => Cell}}, and so for {Strand => cells}.
      def with(newer, strands: {})
        Progress.new(
          merged(@cells, newer),
          ladder:,
          way: @way,
          ways: @ways,
          strands: @strands.merge(strands) { |_, old, cells| merged(old, cells) }
        )
      end

      # How far the whole thing is, 0 to 1: rungs climbed of those up to "learned", over people and items.
      # items: Items
      def total(items)
        pairs = items.all.map { |item| climbed(items.dancers(item), item.key) }
        possible = pairs.sum(&:last)
        possible.zero? ? 0.0 : pairs.sum(&:first).fdiv(possible)
      end

      # [rungs climbed up to "learned", rungs there are] of these people with an item (key).
      def climbed(people, key)
        [people.sum { |person| [rung(person, key), ladder.learned_from].min }, people.size * ladder.learned_from]
      end

      private

      def merged(old, newer) = old.merge(newer) { |_, one, two| one.merge(two) }
    end
  end
end
