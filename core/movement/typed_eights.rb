# frozen_string_literal: true

module Core
  module Movement
    # Takes a typed text that may fill several eights ("//", "x2", "in 6:", a pasted sheet) apart into one text an
    # eight.
    #
    #   TypedEights.of("1 kick L // o/s")  # => [[8, "1 kick L"], [8, "o/s"]]
    module TypedEights
      module_function

      # [[counts, text], …]; the text itself where it is one eight.
      def of(text, counts: 8, feel: :even, vocabulary: Vocabulary::DEFAULT, names: [])
        return [[counts, text]] unless several?(text)

        lines = Reader.new(vocabulary:, feel:, names:).read(text, counts:)
        return [[counts, text]] if lines.size < 2 && !text.match?(Reader::IN)

        lines.zip(parts(text, lines)).map { |line, own| [line.counts, own] }
      end

      # Whether a text can be more than one eight at all.
      def several?(text) = text.match?(%r{/|\n|[x×]\s?\d|\A\s*in\s}i)

      # Where "//" or a new line parted them, each eight keeps its own words; else it is written out.
      def parts(text, lines)
        raw = text.sub(Reader::IN, "").split(%r{//|\n|(?<=\s)/(?=\s)}).map(&:strip).reject(&:empty?)
        raw.size == lines.size ? raw : lines.map { |line| Writer.new(line).text }
      end
      private_class_method :parts
    end
  end
end
