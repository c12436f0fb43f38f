# frozen_string_literal: true

module Core
  module Movement
    # The other side: left and right, turns and facings swapped. Twice is the same again.
    module Mirror
      SIDES = { left: :right, right: :left }.freeze
      WORDS = { "r" => "l", "l" => "r", "right" => "left", "left" => "right", "rt" => "lt", "lt" => "rt" }.freeze

      module_function

      def line(line)
        line.with(
          moves: line.moves.map { |move| move(move) }, entry: exit(line.entry), exit: exit(line.exit),
          groups: line.groups&.turned
        )
      end

      def move(move)
        move.with(
          text: text(move.text),
          side: SIDES[move.side],
          feet: move.feet.map { |foot| SIDES[foot] },
          turn: move.turn && -move.turn,
          facing: facing(move.facing),
          weight: SIDES.fetch(move.weight, move.weight)
        )
      end

      def exit(stated)
        stated.to_h { |name, value| [name, name == :facing ? facing(value) : other(value)] }
      end

      def other(value) = value.is_a?(String) ? text(value) : SIDES.fetch(value, value)

      # 1 front stays, 2 front-right becomes 8 front-left, and so on.
      def facing(facing) = facing && (((9 - facing) % 8) + 1)

      def text(text)
        text.gsub(/(?<![[:alpha:]])(?:right|left|rt|lt|r|l)(?![[:alpha:]])/i) do |word|
          other = WORDS.fetch(word.downcase)
          word == word.upcase ? other.upcase : other
        end
      end

      # A body state seen from the other side.
      def state(state)
        state.with(
          weight: state.weight.with(value: SIDES.fetch(state.weight.value, state.weight.value)),
          facing: state.facing.with(value: facing(state.facing.value)),
          place: state.place.with(value: state.place.value && text(state.place.value))
        )
      end
    end
  end
end
