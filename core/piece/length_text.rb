# frozen_string_literal: true

module Core
  module Piece
    # Reads and writes a section's length as people say it: "6 eights", "5 eights + 4", "3 sixes", "42 counts".
    module LengthText
      LINES = {
        "eight" => 8,
        "six" => 6,
        "four" => 4,
        "three" => 3,
        "two" => 2,
        "seven" => 7,
        "five" => 5,
        "ten" => 10
      }.freeze
      NAMES = LINES.invert.freeze
      TERM = /\A(?:(?<n>\d{1,3})\s*(?:x|×)?\s*
              (?<word>eights?|sixe?s?|fours?|threes?|twos?|sevens?|fives?|tens?|8s?|6s?)
              |(?<tag>\d{1,2})\s*(?:-?\s*counts?\s*)?tag|tag\s*(?:of\s*)?(?<tag2>\d{1,2})
              |(?<counts>\d{1,4})\s*(?:counts?|cts?)|(?<bare>\d{1,3}))\z/xi
      # Lines of a section; what is longer is cut one line beyond, so that whoever reads it can say so.
      MOST = 200
      private_constant :TERM

      module_function

      # "5 eights + 4" => [8, 8, 8, 8, 8, 4]; nil when the text is not a length.
      def parse(text)
        terms = text.strip.split(/\s*(?:\+|&|\band\b)\s*/i)
        return if terms.empty? || terms.size > MOST

        rows = terms.each_with_index.map { |term, i| lines(TERM.match(term), first: i.zero?) }
        rows.flatten.first(MOST + 1) if rows.all?
      end

      # [8, 8, 8, 4] => "3 eights + 4"
      def render(counts)
        counts.chunk_while { |a, b| a == b }.each_with_index.map { |run, i| term(run, first: i.zero?) }.join(" + ")
      end

      def term(run, first:)
        size = run.first
        return size.to_s if run.size == 1 && !first && size != 8
        return Array.new(run.size, "tag #{size}").join(" + ") unless NAMES.key?(size)

        "#{run.size} #{plural(NAMES.fetch(size), run.size)}"
      end

      def plural(word, count)
        return word if count == 1

        word == "six" ? "sixes" : "#{word}s"
      end

      def lines(match, first:)
        return unless match
        return Array.new([match[:n].to_i, MOST + 1].min, size(match[:word])) if match[:n]
        return eights(match[:counts].to_i) if match[:counts]
        return Array.new([match[:bare].to_i, MOST + 1].min, 8) if match[:bare] && first

        [(match[:tag] || match[:tag2] || match[:bare]).to_i].reject(&:zero?)
      end

      def eights(counts)
        full, rest = counts.clamp(0, (MOST + 1) * 8).divmod(8)
        Array.new(full, 8) + (rest.zero? ? [] : [rest])
      end

      def size(word)
        digits = word[/\d/]
        digits ? digits.to_i : LINES.fetch(word.downcase.delete_suffix("es").delete_suffix("s").sub(/\Asix\z/, "six"))
      end
      private_class_method :term, :plural, :lines, :eights, :size
    end
  end
end
