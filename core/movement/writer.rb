# frozen_string_literal: true

module Core
  module Movement
    # Writes a line's moves as text again, counts first: "1 step R 3& ball-change R L 7-8 hold".
    class Writer
      NAMES = { 3 => "e", 6 => "&", 9 => "a", 8 => "a" }.freeze

      def initialize(line) = @line = line

      def text
        moves = @line.moves.map { |move| [counts(move), shown(move), *versions(move)].compact.join(" ") }
        cues = @line.cues.map { |cue, _| %("#{cue}") }
        notes = @line.notes.map { |note| "(#{note})" }
        [*beginning, moves.join(" "), *cues, *notes, *ending, *groups].reject(&:empty?).join(", ")
      end

      private

      # What is stated of the beginning, in words.
      def beginning
        weight, facing, level = @line.entry.values_at(:weight, :facing, :level)
        seated = [weight, level].include?(:seated)
        [
          ("seated:" if seated),
          ("start on the #{weight} foot" if %i[left right].include?(weight)),
          ("start facing #{Lexicon::FACINGS.key(facing)}" if facing),
          (STARTS[level] unless seated)
        ].compact
      end

      STARTS = { floor: "still lying", kneeling: "still kneeling", standing: "on your feet" }.freeze
      private_constant :STARTS

      # What dancers who stand do instead, behind the move it stands in for.
      def versions(move)
        @line.versions.select { |_, _, at, _| at == move.at }.map { |_, text, _, _| "(standing #{text})" }
      end

      # "Nurses 4 later, all meet 1".
      def groups
        [
          ("all meet #{@line.meet}" if @line.meet),
          *@line.groups&.texts
        ].compact
      end

      # What is stated of the end, in words.
      def ending
        weight, facing, place = @line.exit.values_at(:weight, :facing, :place)
        [
          ("#{weight == :left ? 'R' : 'L'} free" if weight),
          ("ends facing #{Lexicon::FACINGS.key(facing)}" if facing),
          ("ends at #{place}" if place)
        ].compact
      end

      def shown(move)
        move.kind == :silent ? "-" : [move.text, ("(either foot)" if move.choice.include?(:weight))].compact.join(" ")
      end

      def counts(move)
        return unless move.at
        return length(move) if move.said.empty?

        written(move).tap { @last = move.said.last / 12 }
      end

      # A lone "&" belongs to the count that was called before it.
      def written(move)
        at = move.said.first
        return NAMES.fetch(at % 12) if move.said.size == 1 && (at % 12).positive? && @last == at / 12

        move.range ? "#{name(move.said.first)}-#{name(move.said.last)}" : called_counts(move.said)
      end

      # "3&" rather than "3 3&".
      def called_counts(positions)
        if positions.size > 1 && positions.first.negative? && positions[1].zero?
          return "&#{called_counts(positions.drop(1))}"
        end

        positions
          .chunk_while { |a, b| (a % 12).zero? && (b % 12).positive? && a / 12 == b / 12 }
          .map { |same| name(same.first) + same.drop(1).map { |position| NAMES.fetch(position % 12, "") }.join }
          .join(" ")
      end

      # Placed by its length alone.
      def length(move)
        whole = move.length && (move.at % 12).zero? && (move.length % 12).zero? && move.length > 12
        whole ? "#{name(move.at)}-#{name(move.at + move.length - 12)}" : name(move.at)
      end

      # What is called on a position of the line.
      def name(position)
        if position.negative?
          NAMES.fetch(position % 12, "&")
        else
          "#{called(position / 12)}#{NAMES.fetch(position % 12, '')}"
        end
      end

      public :name

      def called(index) = ((index + @line.called - 1) % [@line.counts, 8].max) + 1
    end
  end
end
