# frozen_string_literal: true

module Core
  module Movement
    # What a bracket says of the moves before it: "(R L)" which feet, "(no weight)", "(feet whatever)". Changes the list
    # of moves in place.
    class Bracketed
      # moves: [Move]; found: Phrase::Found of the bracket's words.
      def initialize(moves, found)
        @moves = moves
        @found = found
      end

      # Whether the bracket was understood.
      def apply
        sides = sides_only
        return put_sides(sides) if sides

        state = @found.moves.find { |move| move.kind == :state }
        return false unless state && @found.moves.size == 1

        last = @moves.last
        @moves[-1] = last.with(weight: state.weight || last.weight, choice: last.choice | state.choice)
        true
      end

      # What is said of the move before it, between commas: "drag left 6 7, no weight"; open: right behind its counts:
      # "stand up 5-8 both feet". Whether that was so.
      def beside(open: false)
        said = @found.moves.first
        at = @moves.rindex { |move| move.kind == :step && move.layer == :feet }
        return false unless at && (of_the_foot?(said) || (open && of_the_end?(said)))

        @moves[at] = @moves[at].with(weight: said.weight || @moves[at].weight, choice: @moves[at].choice | said.choice)
        true
      end

      private

      def of_the_foot?(said) = said.kind == :state && (said.weight == :keep || said.choice.any?)
      def of_the_end?(said) = (said.kind == :state || said.step == "feet together") && !said.weight.nil? && said.at.nil?

      def sides_only
        return unless @found.moves.any? && @found.moves.all? do |move|
          move.text.match?(/\A(?:r|l|right|left|[\s,])+\z/i)
        end

        @found.moves.filter_map(&:side)
      end

      def put_sides(sides)
        open = @moves.last(sides.size)
        return false unless open.size == sides.size && open.none?(&:side)

        sides.each_with_index { |side, i| @moves[i - sides.size] = open[i].with(side:) }
        true
      end
    end
  end
end
