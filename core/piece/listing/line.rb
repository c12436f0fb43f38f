# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # A typed line without its number, bullet and time: the clauses it has.
      class Line
        BULLET = /\A\s*(?:(?:[-*•·–—>✓☐]+|\(?\d{1,2}[.)]|\#\d{1,2}[.:]?|[a-z]\))\s+|
          \d{1,2}\s+[-–—]\s+)+/xi
        TIME = /\A(?:at\s+)?(?<from>\d{1,2}:[0-5]\d)(?:\s*(?:-|–|to)\s*(?<to>\d{1,2}:[0-5]\d))?(?:\s*[-–—:]\s+|
          \s+|\z)/xi
        ARROW = /\s*(?:→|⇒|->|=>|>>)\s*/
        THEN = /\s*[,;.]\s*(?:and\s+)?then\s+(?=\S)/i
        NO = "(?:no|nope|sorry|wait|hang\\s+on|i\\s+mean|actually|rather|make\\s+(?:that|it)|correction)"
        CORRECTED = /(?<was>(?<!\p{L})#{Amount::PATTERN}(?:\s+(?<unit>eights?|counts?|cts?|bars?|8s))?)\s*[,.…-]*\s*
          (?:(?:um+|er+|uh+)\s*,?\s*)?#{NO}(?:[\s,.…-]+#{NO})*[\s,.…-]+
          (?<is>#{Amount::PATTERN})(?<now>\s+(?:eights?|counts?|cts?|bars?|8s))?(?!\p{L})/xi
        MARKS = {
          "’" => "'", "‘" => "'", "“" => '"', "”" => '"', "…" => "...", "\u00A0" => " ", "！" => "!"
        }.freeze
        private_constant :BULLET, :TIME, :ARROW, :THEN, :NO, :CORRECTED, :MARKS

        # numbered: whether the lines of the list are numbered at the left. text: as typed; said: without number
        # and time; from, to: seconds in the music, or nil.
        attr_reader :number, :text, :said, :from, :to

        def initialize(number, text, numbered: false)
          @number = number
          @text = text.strip
          @said = timed(plain(@text.gsub(/[’‘“”…\u00A0！]/, MARKS).sub(BULLET, "")).sub(
                          numbered ? /\A\d{1,2}\s+/ : /\A(?!)/, ""
                        ))
        end

        # The clauses of the line, each as text: "crabs 8, then crabs to the other side" has two.
        def clauses
          corrected.split(ARROW).flat_map { |text| text.split(THEN) }.flat_map { |text| listed(text) }
            .map(&:strip).reject(&:empty?)
        end

        # "six, no, five eights" is five.
        def corrected
          said.gsub(CORRECTED) do
            match = Regexp.last_match
            unit = match[:now] || (match[:unit] && " #{match[:unit]}")
            "#{match[:is]}#{unit}"
          end
        end

        private

        # Several links in one line, each with its length: "opening 2 eights Kai; river 4 eights Kai".
        def listed(text)
          by = [";", ","].find do |mark|
            parts = text.split(mark)
            lengths = parts.count do |part|
              (found = Length.find(part)) && found.first.rows && found[1].match?(/\p{L}{2}/)
            end
            lengths > 1 && lengths * 2 >= parts.size
          end
          by ? text.split(by) : [text]
        end

        # "*Lucia*" stands out in other programs.
        def plain(text) = text.gsub(/(?<![\p{L}\d])([*_]{1,2})(\S[^*_]*?)\1(?![\p{L}\d])/, '\2')

        def timed(text)
          match = TIME.match(text) or return text
          return text if match.post_match.empty?

          @from = seconds(match[:from])
          @to = seconds(match[:to]) if match[:to]
          match.post_match.sub(BULLET, "")
        end

        def seconds(text)
          minutes, seconds = text.split(":").map(&:to_i)
          (minutes * 60) + seconds
        end
      end
    end
  end
end
