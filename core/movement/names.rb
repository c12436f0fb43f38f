# frozen_string_literal: true

module Core
  module Movement
    # What moves are called in a piece: two names for one step, and words nobody's vocabulary knows.
    class Names
      Use = Struct.new(:step, :names, keyword_init: true) do
        def several? = names.size > 1
      end

      # Steps whose names are moves of their own, read alike because they do the same to the feet: nothing.
      FAMILIES = %w[arms head hip shoulder body reach bounce].freeze

      # lines: {section => [Line]}
      def initialize(lines, vocabulary: Vocabulary::DEFAULT)
        @lines = lines
        @vocabulary = vocabulary
      end

      # Known steps with the names they go by and where: Use with names {name => [sections]}.
      def uses
        known = said.reject { |move, _| move.step.nil? }
        known.group_by { |move, _| [move.step, (name(move) if FAMILIES.include?(move.step))] }
          .map { |(step, _), uses| Use.new(step:, names: names(uses)) }
          .sort_by { |use| [use.step, use.names.keys.first] }
      end

      # Words that are kept as written: {text => [sections]}.
      def unknown
        said
          .select { |move, _| move.kind == :unknown }
          .group_by { |move, _| move.text.downcase }
          .transform_values { |same| same.map(&:last).uniq }
      end

      private

      def said = @said ||= @lines.flat_map { |section, lines| lines.flat_map(&:moves).map { |move| [move, section] } }

      def names(uses)
        uses.group_by { |move, _| name(move) }.transform_values { |same| same.map(&:last).uniq }
      end

      # The words of a move that are its step's name, without sides and directions.
      def name(move)
        words = Vocabulary.fold(move.text).split
        (0...words.size)
          .filter_map do |at|
            (found = @vocabulary.match(words, at)) && found[0].name == move.step && words[at, found[1]].join(" ")
          end
          .first || move.step
      end
    end
  end
end
