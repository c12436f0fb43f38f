# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # One clause of a line ("Verse again, other side, Bo"), taken apart: every word goes to a name, a length, who
      # teaches, how it repeats, or a remark. known: answers the name of a section that came before, or nil.
      class Clause
        include Accounting
        include Echoing
        include Choosing

        # What stands between the parts of a clause.
        SEPARATORS = %r{\s*[;\t|,]\s*|\s+[-–—]+\s+|\s*[–—]\s*|\s+/\s+|\s*\.{2,}\s*|:(?=\s|\z)\s*|\s+=\s+|
          \.\s+(?=\S)|\s*\.\z}x
        KNOWN = /\A(?:(?:they\s+)?(?:already\s+)?known?(?:\s+(?:already|it))?|already\s+known)\z/i
        UNPLACED = /\A(?:not\s+placed|unplaced|spare)\z/i
        SHARED = %r{,?\s*(?<!\p{L})(?:eights?\s+)(?<all>\d{1,2}\s*[-–]\s*\d{1,2}\s+#{Names::ONE}
          (?:\s*(?:,|and|&|/)\s*\d{1,2}\s*[-–]\s*\d{1,2}\s+#{Names::ONE})+)}xi
        # Two groups at the same time.
        BOTH = /\A(?:while|as|when|(?:at\s+the\s+same\s+time|meanwhile|simultaneously)\s*[:,]?)\s+(?<one>[^,;:]+?),\s*
          (?:the\s+)?(?<other>[^,;:]+?)(?<rest>\s*(?:[,;:]|\s[-–—]\s|\().*)?\z/xi
        MUSIC = /\s+(?:music\s+only|only\s+music|no\s+music|with(?:out)?\s+music|in\s+silence|a\s*cappella)\z/i
        # "final eight" is a name and a length.
        NAMED_EIGHT = /\A(?:the\s+)?(?:last|final|first|opening|closing|
          middle)\s+(?:(?<n>#{Amount::PATTERN})\s+)?eights?\z/xi
        private_constant :SEPARATORS, :KNOWN, :UNPLACED, :SHARED, :MUSIC, :BOTH, :NAMED_EIGHT

        # name: String or nil; length: Length or nil; said: names that are said to teach it; placed: [text, shape] of
        # words that stand where a teacher stands; away: names of those who do not; times: how often; of: the section
        # it is like; loose: remarks that stand outside brackets; part: [which, counts or :half] or [:from,
        # first eight, last eight].
        attr_reader :name, :length, :said, :placed, :away, :times, :of, :changed, :part, :remarks, :residue,
                    :loose, :brackets

        def initialize(text, known: ->(_) {}, taught: ->(_) {})
          @known = known
          @taught = taught
          @said, @placed, @away, @remarks, @residue, @loose, @spent = Array.new(7) { [] }
          @times = 1
          @brackets = []
          read(mask(unbracket(shared(text))))
          @remarks.concat(unread(text))
        end

        def again? = !!@again
        def mirrored? = !!@mirrored
        # Whether only the last of several is on the other side.
        def last_mirrored? = !!@last_mirrored
        def known? = !!@is_known
        def unplaced? = !!@unplaced
        def alone? = !!@alone
        # Whether it is danced longer or shorter than before, and not said by how much.
        def amount? = part.nil? && !changed.nil? && remarks.any? { |text| Echo::AMOUNT.match?(text) }
        # Whether it repeats something.
        def echo? = again? || mirrored? || !changed.nil? || !part.nil? || !of.nil? || times > 1

        # Words that say how things follow each other, and nothing else.
        def spent = @spent.flat_map { |text| words_of(text) }

        private

        # "eights 1-4 Mo, 5-8 Bel" says who teaches which.
        def shared(text)
          match = SHARED.match(text) or return text
          @said.concat(match[:all].scan(/\d\s+(#{Names::ONE})/o).flatten)
          @remarks << match[0].sub(/\A[,\s]+/, "")
          "#{match.pre_match} #{match.post_match}"
        end

        def read(text)
          text = while_both(like(text))
          @residue << [plain(@both), 0, false] if @both
          fields = together(text.split(SEPARATORS).map(&:strip).reject(&:empty?))
          fields.each_with_index { |field, i| field(field, i) }
          unpack
          named_eight
          bare unless @length || @of
          choose
        end

        # "while Reds lift, Blues walk" is one thing.
        def while_both(text)
          match = BOTH.match(text) or return text
          return text if Length.find(match[:other]) || Length.find(match[:one])

          @both = "#{match[:one]}, #{match[:other]}"
          spend(text, @both, match[:rest])
          match[:rest].to_s
        end

        # A part that is only a number belongs to "with changes in 4" before it.
        def together(fields)
          fields.each_with_object([]) do |part, parts|
            joins = parts.any? && part.match?(/\A\d{1,2}(?:\s*[–-]\s*\d{1,2})?\z/) &&
              parts.last.match?(/\A(?:with\s+)?changes.*\d\z/i)
            joins ? parts[-1] = "#{parts.last}, #{part}" : parts << part
          end
        end

        def field(field, index)
          case plain(field)
          when KNOWN then @is_known = @spent << field
          when UNPLACED then @unplaced = @spent << field
          when Echo::ALTERED then (@changed = Echo.numbers(Regexp.last_match[:rows])) && (@spent << field)
          when Words::EVERYBODY then index.zero? ? spans(field, index) : @remarks << plain(field)
          else spans(field, index)
          end
        end

        def spans(field, index)
          exact = index.positive? && exact_length(field)
          return if exact

          text = take_part(field)
          text = lasting(text) if @length.nil?
          pieces = text.is_a?(Array) ? text : [text]
          pieces.each_with_index { |piece, i| words(piece, index + i) }
        end

        # A length as the program writes it ("5 eights + 4"), but no bare number.
        def named_eight
          match = @length.nil? && @residue.first&.first.to_s.match(NAMED_EIGHT) or return
          @length = Length.new(said: match[0], rows: [8] * (Amount.of(match[:n]) || 1))
        end

        def exact_length(field)
          return if @length || field.match?(/\A\d+\z/)

          rows = LengthText.parse(field) or return
          @length = Length.new(said: field, rows:)
        end

        def lasting(text)
          return text if text.match?(NAMED_EIGHT) && @residue.empty?

          found = Length.find(text) or return text
          @length = found.first
          [found[1].sub(/(?<=\p{L})'s\s*\z/, ""), found[2]]
        end

        def known_name = @residue.any? && @known.call(@residue.first.first)

        # What is left of a field: how it repeats, who teaches, then a residue.
        def words(text, index)
          text = echoes(strip(text), index)
          pieces = text.is_a?(Array) ? text : [text]
          pieces.each { |piece| rest(piece, index) }
        end

        def rest(text, index)
          text = strip(text)
          return if text.empty? || text.match?(/\A[\s\p{P}]*\z/)

          text = teaching(text)
          text = take_away(text)
          text = quality(strip(text))
          return if text.empty?
          return @spent << text if named? && text.match?(/\A(?:it|that|this|them|those)\z/i)

          return changed!(text) if named? && echo_so_far? && Echo::CHANGED.match?(text)
          return @remarks << plain(text) if named? && plain(text).match?(Words::EVERYBODY)

          @residue << [plain(text).sub(/(?<=\S)\?+\z/, ""), index, !@length.nil?]
        end

        def named? = @residue.any? || @of

        def quality(text)
          match = MUSIC.match(" #{text}") or return text
          @remarks << match[0].strip
          match.pre_match.strip
        end

        # A number without a unit, where nothing else says how long.
        def bare
          @residue.each_with_index do |(text, index, _), at|
            found = at.zero? && index.zero? && text.match?(/\A\S+\z/) ? nil : Length.bare(mask(text))
            next unless found

            @length = found.first
            pieces = found.drop(1).map { |each| plain(strip(each)) }.reject(&:empty?)
            return @residue[at, 1] = pieces.each_with_index.map { |piece, i| [piece, index + i, i.positive?] }
          end
        end
      end
    end
  end
end
