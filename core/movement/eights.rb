# frozen_string_literal: true

module Core
  module Movement
    # Lays the moves of a typed text out on lines: as they are, or, where no count was said and their usual lengths fill
    # the line exactly, one after the other.
    class Eights
      KEPT = %i[notes cues faults versions heard].freeze
      private_constant :KEPT

      # moves: [Move]; size: counts of a line.
      def initialize(moves, size, vocabulary)
        @moves = moves
        @size = size
        @vocabulary = vocabulary
      end

      # [Line]. kept: {notes:, cues:, faults:, versions:, heard:};
      # facts: {entry:, exit:, groups:, meet:}; counted: whether any
      # count was said.
      def lines(kept, facts, called:, feel:, counted:)
        @notes = kept[:notes]
        place_by_length unless counted
        parts = @moves.chunk_while { |a, b| a.at.nil? || b.at.nil? || eight_of(a) == eight_of(b) }.to_a
        parts = [[]] if parts.empty?
        parts.each_with_index.map do |moves, i|
          ends = i == parts.size - 1 ? facts.slice(:exit, :meet) : {}
          begins = i.zero? ? { **kept.slice(*KEPT), **facts.slice(:entry, :groups) } : {}
          Line.new(counts: @size, called:, feel:, moves: shifted(moves, i * @size * 12), **begins, **ends)
        end
      end

      private

      def place_by_length
        return if @moves.empty? || @moves.any?(&:at)

        lengths = @moves.map { |move| move.length || 12 }
        return unless @moves.all? { |move| move.kind == :step } && (lengths.sum % (@size * 12)).zero?

        from = 0
        @moves = @moves.zip(lengths).map do |move, length|
          placed = Placing.new([move], [from], range: false, vocabulary: @vocabulary).moves.first
          from += length
          placed.with(length:, said: [])
        end
        second_time
      end

      # "(2nd x no last touch - hold)", "last time hold instead".
      def second_time
        said = @notes.find { |note| note.match?(/\A(?:2nd|second)\b.*\bno last\b.*\bhold/i) } or return
        @notes.delete(said)
        last = @moves.pop
        at = last.at + 12
        @moves << last.with(step: "step", text: "step #{last.side == :left ? 'L' : 'R'}", length: 12) <<
          Move.new(text: "hold", step: "hold", kind: :hold, at:, length: 12)
      end

      # Which eight of the text a move lies in; a pickup belongs to the first.
      def eight_of(move) = [move.at, 0].max / (@size * 12)

      # A count said of an eight that is over already is open.
      def shifted(moves, by)
        return moves if by.zero?

        moves.map do |move|
          next move unless move.at
          next move.with(at: nil, places: [], said: [], range: false) if move.at < by

          move.with(
            at: move.at - by, places: move.places.map { |place| place - by },
            said: move.said.map { |place| place - by }
          )
        end
      end
    end
  end
end
