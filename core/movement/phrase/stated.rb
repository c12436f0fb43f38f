# frozen_string_literal: true

module Core
  module Movement
    class Phrase
      # What a phrase says of the body beside its moves: held for the move it stands behind, or by itself.
      module Stated
        private

        # What is said of the body holds for the move it stands behind, or by itself.
        def with_statements(moves)
          @said.reduce(moves) do |all, said|
            next all if edge(said, all)

            state(said, all)
          end
        end

        # Said of the beginning or of the end of the line.
        def edge(said, moves)
          return false if said.weight == :open

          values = { weight: said.weight, facing: (said.facing unless said.facing == :open) }.compact
          if said.ending
            @facts[:exit].merge!(values)
            return said.facing != :open
          end
          return false unless beginning?(said, moves)

          @facts[:entry].merge!(values.merge(Turning.level_of(said.level, @words.map(&:first))))
          true
        end

        def beginning?(said, moves)
          return true if said.start && (said.facing || said.level)

          @first && (said.facing || said.level) && said.facing != :open && !said.doing && @acts.none? do |act|
            act.from < said.at
          end &&
            moves.none? { |move| move.step == "turn" }
        end

        def state(said, moves)
          at = target(said, moves)
          at ? moves.dup.tap { |all| all[at] = stated(all[at], said) } : [stated(bare(said), said), *moves]
        end

        # A statement that stands before everything that is danced keeps its own words.
        def alone?(said) = @acts.none? { |act| act.from <= said.at && !act.upper? } && !edge_words?(said)

        def edge_words?(said) = said.ending || said.start

        # The move a statement stands behind; before all of them it stands alone.
        def target(said, moves)
          index = @acts.rindex { |act| act.from <= said.at && !act.upper? }
          return if index.nil? || moves.empty?

          [moves.size - 1, moves.size - 1 - (@acts.size - 1 - index)].max.clamp(0, moves.size - 1)
        end

        def bare(said)
          text = @words[said.at, said.size].map(&:last).uniq.map { |i| @tokens[i].text }.join(" ")
          return Move.new(text:, kind: :step, step: "face", layer: :body) if said.facing
          return Move.new(text:, kind: :step, step: "feet together") if said.weight == :both
          return Move.new(text:, kind: :hold, step: "hold") if said.weight == :open

          Move.new(text:, kind: :state)
        end

        def stated(move, said)
          return move.with(choice: FREE_FEET) if said.choice
          return move.with(doubts: move.doubts | [:weight]) if said.weight == :open

          weight = weight_of(move, said)
          move = move.with(weight:, doubts: move.doubts - [:weight]) if weight
          return move if said.none || said.given || said.same

          turned(move, said)
        end

        # Where the weight is by what is said: :keep where it stays.
        def weight_of(move, said)
          return :keep if said.none
          return move.side || @acts.flat_map(&:sides).last || @last || :keep if said.given

          said.same ? @acts.flat_map(&:sides).last || @last : said.weight
        end

        def turned(move, said)
          return move.with(turn: 0, facing: nil, doubts: move.doubts | [:facing]) if said.facing == :open

          move = move.with(turn: 0, facing: said.facing) if said.facing
          said.level ? move.with(**Turning.body_at(said.level, @words.map(&:first))) : move
        end
      end
    end
  end
end
