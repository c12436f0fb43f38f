# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # A table that was pasted: a line of headings says what each column is. Rows become lines as they would be
      # typed.
      class Table
        HEADS = {
          name: /\A(?:section|part|name|what|element|phrase|title|segment|block)s?\z/i,
          counts: /\A(?:#\s*)?(?:of\s+)?(?:counts?|cts?|length|beats?|duration)\z/i,
          eights: /\A(?:eights?|8s|8'?s)\z/i,
          bars: /\A(?:bars?|measures?)\z/i,
          teacher: /\A(?:teachers?|who|by|choreographers?|choreo|taught\s+by|staff|lead)\z/i,
          number: /\A(?:#|no\.?|nr\.?|order|pos(?:ition)?)\z/i,
          time: /\A(?:time|start|from|at)\z/i,
          notes: /\A(?:notes?|comments?|remarks?|info|details)\z/i,
          dancers: /\A(?:dancers?|groups?|cast|dances)\z/i
        }.freeze
        CELLS = /\s*[\t|]\s*|\s*;\s*|\s*,\s*|\s{3,}/
        TOTAL = /\A(?:grand\s+|in\s+)?(?:totals?|sum|altogether|all)\b[^\d]*(?<n>\d{1,4})?/i
        private_constant :HEADS, :CELLS

        # The table that a line of headings begins, or nil.
        def self.of(line)
          cells = cells(line)
          kinds = cells.map { |cell| HEADS.find { |_, head| cell.match?(head) }&.first }
          new(kinds) if cells.size > 1 && kinds.compact.size >= [2, cells.size - 1].max && kinds.include?(:name)
        end

        def self.cells(line)
          text = line.strip.delete_prefix("|").delete_suffix("|")
          text = line if line.include?("\t")
          text.split(line.include?("\t") ? /\t/ : CELLS, -1).map(&:strip)
        end

        # The counts that a row of totals claims, or nil where it is none.
        def self.total(line)
          match = TOTAL.match(line.strip.gsub(/[\t|,;]+/, " ")) or return
          match[:n]&.to_i
        end

        # kinds: what each column is, by HEADS, or nil.
        def initialize(kinds) = @kinds = kinds

        # {kind => words} of a row, or nil where it has no cells like that.
        def row(line)
          cells = Table.cells(line)
          return if cells.size < 2

          @kinds.zip(cells).filter_map { |kind, cell| [kind || :notes, cell] unless cell.to_s.empty? }.to_h
        end

        # A row as it would be typed: "Main, 48 counts, Fritz, again".
        def typed(line)
          row = row(line) or return line
          [row[:name], length(row), row[:teacher], row[:notes]].compact.join(", ")
        end

        private

        def length(row)
          return row[:counts].match?(/\A\d+\z/) ? "#{row[:counts]} counts" : row[:counts] if row[:counts]
          return row[:eights].match?(/\A\d+\z/) ? "#{row[:eights]} eights" : row[:eights] if row[:eights]

          row[:bars] && (row[:bars].match?(/\A\d+\z/) ? "#{row[:bars]} bars" : row[:bars])
        end
      end
    end
  end
end
