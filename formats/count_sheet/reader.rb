# frozen_string_literal: true

module Formats
  module CountSheet
    # Reads the lines: with tabs as rows of a table, without as sentences.
    class Reader
      MOST = 200
      # Lines that are looked at; what is behind them is taken as the last.
      MOST_LINES = 2_000
      LONGEST = 1000
      # "Eight 3:", "Phrase 2 -", "3." and "3)" only number the line.
      ENDED = /\s*[:.)–-]/
      NUMBER = /\A(?:(?:eight|phrase|line|row|bar)\s*#?\d{1,3}#{ENDED}|8\s*[x×]\s*\d{1,3}#{ENDED}|\d{1,3}[.)])\s+/i
      # "(4)", "4 counts:" say how long it is.
      COUNTS = /\A(?:\((\d{1,2})(?:\s*counts?)?\)|(\d{1,2})\s*counts?\s*[:,–-])\s*/i
      # "[breathe]" at the end, or "cue: breathe".
      CUE = /\s*(?:\[([^\]]{1,80})\]|\bcue\s*:\s*(.{1,80}))\s*\z/i
      # "VERSE:", "# Chorus", "Part two": a line that names what follows.
      NAME = /\A(?:#+\s*(?<sharp>.{1,80})|(?<colon>[^\d:]{1,80}):)\z/
      private_constant :ENDED, :NUMBER, :COUNTS, :CUE, :NAME

      def initialize(source)
        @text = Csv.text(source)
        @left_out = []
        @name = ""
      rescue FaultyFile
        @text = ""
        @left_out = [[1, "", :no_text]]
      end

      def result
        lines = @text.split("\n", MOST_LINES).each_with_index.map { |line, i| [i + 1, line.rstrip] }
        filled = lines.reject { |_, line| line.strip.empty? }
        columns = Columns.of(filled.map(&:last))
        rows = filled.filter_map do |number, line|
          columns ? cells(columns, number, line) : sentence(number, line.strip)
        end
        Result.new(rows: within(rows), left_out: @left_out)
      end

      private

      def within(rows)
        rows.drop(MOST).each { |row| @left_out << [row.line, row.text[0, 40], :too_many] }
        rows.first(MOST)
      end

      def cells(columns, number, line)
        found = columns.read(line.split("\t", -1).map(&:strip))
        return if found.nil?
        return leave(number, line, :nothing) if found[:text].empty? && found[:counts].nil?

        row(number, **found)
      end

      def sentence(number, line)
        named = NAME.match(line)
        return remember(named[:sharp] || named[:colon]) if named

        text = line.sub(NUMBER, "")
        length = COUNTS.match(text)
        text = text.sub(COUNTS, "") if length
        cue = CUE.match(text)
        text = text.sub(CUE, "") if cue
        row(number, counts: length && (length[1] || length[2]).to_i, text:, cue: (cue && (cue[1] || cue[2])).to_s)
      end

      def remember(name)
        @name = name.strip
        nil
      end

      def row(number, text:, counts: nil, cue: "", name: "")
        return leave(number, text, :long) if text.size > LONGEST
        return leave(number, text, :counts) if counts && !counts.between?(1, 64)

        named = name.empty? ? @name : name
        @name = ""
        Row.new(line: number, counts:, text: text.strip, cue: cue.strip[0, 80], name: named[0, 80])
      end

      def leave(number, text, why)
        @left_out << [number, text.strip[0, 40], why]
        nil
      end
    end
    private_constant :Reader
  end
end
