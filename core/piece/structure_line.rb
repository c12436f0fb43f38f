# frozen_string_literal: true

module Core
  module Piece
    # One typed line of a piece's structure, taken apart: "Waggle Line again, other side".
    # Parts are set off by commas, semicolons or tabs and may come in any order after the name.
    class StructureLine
      AGAIN = /\A(?:again|repeat(?:ed)?|once more|(?:second|third|fourth|2nd|3rd|4th) time)\z/i
      MIRRORED = %r{\A(?:other side|mirrored|o/s|opposite side)\z}i
      ALTERED = /\A(?:with\ changes|changes|different|altered)
        (?:\s*(?:in|on|to|at)?\s*(?:eights?)?\s*(?<rows>[\d\s,&–-]+))?\z/ix
      KNOWN = /\A(?:known|known already|already known|they know it)\z/i
      UNPLACED = /\A(?:not placed|unplaced|spare)\z/i
      TAIL = %r{\s+(?:again|(?:again\s+)?(?:on\s+the\s+)?other\s+side|o/s)\z}i
      private_constant :AGAIN, :MIRRORED, :ALTERED, :KNOWN, :UNPLACED, :TAIL

      ALONE = /\s+alone\z/i
      THEN = /\A(?:and\s+then|and|then)\s+/i
      private_constant :ALONE, :THEN

      # parts: what was typed after the name; bare_length: a length that is only a number, as typed, or nil.
      attr_reader :number, :text, :name, :rows, :teacher, :changed, :parts, :bare_length

      def initialize(number, text)
        @number = number
        @text = text.strip
        @changed = nil
        first, *rest = split
        @parts = rest
        @name = take_tails(first.to_s.sub(/\A(?:[-*•]|\d{1,2}[.)])\s+/, ""))
        rest.each { |part| take(part) }
      end

      # The same line without a "then" before its name.
      def without_then = name.match?(THEN) ? StructureLine.new(number, text.sub(THEN, "")) : self

      # Whether its teacher was said to be meant alone ("Jo alone", where "Jo & Mel" teach too).
      def alone? = !!@alone

      # Whether the line repeats a section named before.
      def again? = @again || @mirrored || !changed.nil?

      # Whether it is danced on the other side.
      def mirrored? = !!@mirrored

      # Whether it is known already, and not to be taught.
      def known? = !!@known

      # Whether it is written without a place in the order.
      def unplaced? = !!@unplaced

      private

      # "with changes in 4, 5" keeps its commas: a part that is only a number belongs to the one before.
      def split
        text.split(/\s*[,;\t]\s*/).reject(&:empty?).each_with_object([]) do |part, parts|
          joins =
            parts.any? && part.match?(/\A\d{1,2}(?:\s*[–-]\s*\d{1,2})?\z/) &&
            parts.last.match?(/\A(?:with\s+)?changes.*\d\z/i)
          joins ? parts[-1] = "#{parts.last}, #{part}" : parts << part
        end
      end

      def take_tails(name)
        while (tail = name[TAIL])
          @again = true
          @mirrored = true if tail.match?(%r{side|o/s}i)
          name = name.delete_suffix(tail)
        end
        name.strip
      end

      def take(part)
        case part
        when AGAIN then @again = true
        when MIRRORED then @mirrored = true
        when UNPLACED then @unplaced = true
        when KNOWN then @known = true
        when ALTERED then @changed = numbers(Regexp.last_match[:rows])
        else take_length_or_teacher(part)
        end
      end

      def take_length_or_teacher(part)
        rows = @rows ? nil : LengthText.parse(part)
        @bare_length = part if rows && part.match?(/\A\d+\z/)
        return @rows = rows if rows

        @alone = part.match?(ALONE)
        @teacher = [@teacher, part.sub(ALONE, "")].compact.join(", ")
      end

      def numbers(text)
        text.to_s.scan(/(\d{1,2})(?:\s*[–-]\s*(\d{1,2}))?/).flat_map { |a, b| (a.to_i..(b || a).to_i).to_a }
      end
    end
  end
end
