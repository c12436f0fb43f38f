# frozen_string_literal: true

module Core
  module Movement
    # The body along one eight, value by value: which foot bears the weight, which way it faces, how low it is, and from
    # which position to which.
    #
    #   Ribbon.new(line, walk, 3).spans(:weight)  # => [[0, 12, :left, false], [12, 96, :right, false]]
    class Ribbon
      OTHER = { left: :right, right: :left }.freeze

      # line: Line; walk: Walk it is part of; row: its number there, from 1.
      def initialize(line, walk, row, vocabulary: Vocabulary::DEFAULT)
        @line = line
        @vocabulary = vocabulary
        @before = row > 1 ? walk.after(row - 1) : walk.entry
        @steps = walk.steps.select { |step| step.row == row && step.at }.sort_by(&:at)
      end

      # name: :weight, :facing or :level => [[from, to, value, whether it is only supposed], …], positions in twelfths
      # of a count from the eight's start.
      def spans(name)
        before = @before.public_send(name)
        begun = [0, before.value, before.source == :supposed]
        marks = [begun, *@steps.flat_map { |step| changes(step, name) }]
          .chunk_while { |a, b| a.drop(1) == b.drop(1) }.map(&:first)
        ends = [*marks.drop(1).map(&:first), @line.length]
        marks.zip(ends).map { |(at, value, supposed), to| [at, to, value, supposed] }.reject { |from, to,| from == to }
      end

      private

      # A step with several placements changes the weight at each.
      def changes(step, name)
        state = step.state.public_send(name)
        supposed = state.source == :supposed
        return [[step.at, state.value, supposed]] unless name == :weight && several?(step)

        last = step.move.places.size - 1
        step.move.places.each_with_index.map do |place, i|
          [place, (last - i).even? ? state.value : OTHER.fetch(state.value, state.value), supposed]
        end
      end

      def several?(step) = step.move.step && @vocabulary.find(step.move.step) && step.move.places.size > 1
    end
  end
end
