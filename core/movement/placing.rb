# frozen_string_literal: true

module Core
  module Movement
    # Lays moves onto said counts: one count each where there are as many, else the first move takes them all and
    # what follows keeps its place in the order with its count not set.
    class Placing
      # positions: twelfths; range: they came as "5-6", to the end of the last count.
      def initialize(moves, positions, range:, vocabulary: Vocabulary::DEFAULT)
        @vocabulary = vocabulary
        @list = moves
        @positions = positions
        @range = range
      end

      def moves
        return [] if @list.empty?
        return @list.zip(@positions).map { |move, at| placed(move, [at]) } if @list.size == @positions.size
        return each_count(@list.first) if @list.size == 1 && each?(@list.first)
        return [placed(@list.first, @positions)] if @list.size == 1
        return spread if @list.size < @positions.size

        [placed(@list.first, @positions), *@list.drop(1)]
      end

      private

      # "walk R 1 2 3 4", "1-8 march": one on every count.
      def each?(move)
        @positions.size > 1 && @positions.all? { |at| (at % 12).zero? } && @vocabulary.find(move.step.to_s)&.each
      end

      def each_count(move)
        @positions.each_with_index.map do |at, i|
          own = i.zero? ? move : move.with(side: nil, text: move.step)
          placed(own, [at]).with(range: false)
        end
      end

      def spread
        share = @positions.each_slice((@positions.size / @list.size.to_f).ceil).to_a
        @list.each_with_index.map { |move, i| share[i] ? placed(move, share[i]) : move }
      end

      def placed(move, positions)
        at = positions.first
        length = positions.size > 1 ? span(positions) : move.length
        usual = positions.size < 2 && move.usual
        move.with(at:, length:, usual:, places: places(move, positions), said: positions,
                  range: @range && positions.size > 1)
      end

      def span(positions)
        last = positions.last
        last - positions.first + (@range || (last % 12).zero? ? 12 : 12 - (last % 12))
      end

      # Where each weight placement falls.
      def places(move, positions)
        step = @vocabulary.find(move.step.to_s)
        return [] if step.nil? || step.weights.empty?
        return positions if positions.size == step.weights.size

        step.offsets.map { |offset| positions.first + offset }
      end
    end
  end
end
