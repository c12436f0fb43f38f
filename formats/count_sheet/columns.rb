# frozen_string_literal: true

module Formats
  module CountSheet
    # What the columns of a sheet with tabs are: counts 1 to 8 (or more) with what is danced on each, or a column for
    # the movement beside others, found by their headings.
    class Columns
      HEADINGS = {
        text: /\A(?:movements?|moves?|steps?|what|text|choreography|action)\z/i,
        counts: /\A(?:counts?|length|beats?)\z/i,
        cue: /\A(?:cues?|words?|lyrics?|calls?|sound)\z/i,
        name: /\A(?:names?|part|section|phrase name)\z/i
      }.freeze

      # Columns of the lines of a sheet, or nil where it has no tabs.
      def self.of(lines)
        rows = lines.map { |line| line.split("\t", -1).map(&:strip) }
        return if rows.none? { |row| row.size > 1 }

        heading = rows.find { |row| named(row).key?(:text) || numbered(row).size >= 2 }
        return new(named(heading), {}, heading) if heading && named(heading).key?(:text)
        return new(heading ? named(heading) : {}, numbered(heading), heading) if heading

        new({}, guessed(rows), nil)
      end

      # {kind => column} by their headings.
      def self.named(row)
        HEADINGS.filter_map { |kind, pattern| (at = row.index { |cell| cell.match?(pattern) }) && [kind, at] }.to_h
      end

      # {count => column} where a row numbers them from 1 on.
      def self.numbered(row)
        found = row.each_with_index.filter_map { |cell, at| [cell.to_i, at] if cell.match?(/\A\d{1,2}\z/) }
        found.map(&:first) == (1..found.size).to_a ? found.to_h : {}
      end

      # Without headings a number or a name comes first, and the counts after it, where there are more than two cells.
      def self.guessed(rows)
        widest = rows.map(&:size).max
        from = rows.all? { |row| row.first.match?(/\A(?:\d{1,3}[.)]?)?\z/) } ? 1 : 0
        counts = widest - from
        counts > 2 ? (1..counts).to_h { |count| [count, from + count - 1] } : { 0 => from }
      end

      def initialize(named, counts, heading)
        @named = named
        @counts = counts
        @heading = heading
      end

      # A row's cells => {text:, counts:, cue:, name:}; nil for the heading itself.
      def read(cells)
        return if cells == @heading

        { text: text(cells), counts: length(cells), cue: cell(cells, :cue), name: cell(cells, :name) }
      end

      private

      def cell(cells, kind) = @named[kind] ? cells[@named[kind]].to_s : ""

      def text(cells)
        return cell(cells, :text) if @named.key?(:text)

        said = @counts.filter_map do |count, at|
          what = cells[at].to_s
          next if what.empty? || what.match?(/\A[-–—.]+\z/)

          count.zero? || what.match?(/\A\d/) ? what : "#{count} #{what}"
        end
        said.join(" ")
      end

      def length(cells)
        given = cell(cells, :counts)[/\A\d{1,3}/]
        return given.to_i if given

        @counts.keys.max if @counts.size > 2
      end
    end
    private_constant :Columns
  end
end
