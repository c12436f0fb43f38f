# frozen_string_literal: true

module Core
  module Learning
    # Everybody's cells of one piece, to be read by planning and joins. cells: {item key => {person id => Cell}}.
    class Progress
      NONE = Cell.new
      EMPTY = {}.freeze
      private_constant :EMPTY

      attr_reader :ladder

      def initialize(cells = {}, ladder: Ladder::DEFAULT)
        @cells = cells
        @ladder = ladder
      end

      # The Cell of a person (id) and an item (key); one without entries where there is none.
      def cell(person, key) = (@cells[key] || EMPTY).fetch(person, NONE)

      # Its rung, a number from 0.
      def rung(person, key) = cell(person, key).rung

      # Whether that rung counts as learned.
      def learned?(person, key) = ladder.learned?(rung(person, key))

      # Whether somebody is at a rung, by its name, or above.
      def at_least?(person, key, rung) = rung(person, key) >= ladder.index(rung)

      # Share (0 to 1) of these people at a rung (its name, or its number) or above; 1.0 of nobody.
      def share(people, key, at: ladder.learned_from)
        return 1.0 if people.empty?

        least = at.is_a?(String) ? ladder.index(at) : at
        cells = @cells[key] || EMPTY
        people.count { |person| cells.fetch(person, NONE).rung >= least }.fdiv(people.size)
      end

      # The same with some cells in place of theirs: {item key => {person id => Cell}}.
      def with(newer)
        Progress.new(@cells.merge(newer) { |_, old, cells| old.merge(cells) }, ladder:)
      end

      # How far the whole thing is, 0 to 1: rungs climbed of those up to "learned", over people and items.
      # items: Items
      def total(items)
        climbed = possible = 0
        items.all.each do |item|
          people = items.dancers(item)
          possible += people.size * ladder.learned_from
          climbed += people.sum { |person| [rung(person, item.key), ladder.learned_from].min }
        end
        possible.zero? ? 0.0 : climbed.fdiv(possible)
      end
    end
  end
end
