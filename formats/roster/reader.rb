# frozen_string_literal: true

require "set"

module Formats
  module Roster
    # Reads a roster: finds the letters, the separator and the columns, and accounts for every line.
    class Reader
      MAX_LINES = 600
      MAX_NAME = 80
      MAX_GROUP = 40
      COLUMNS = { name: /\A(?:name|full name|dancer|student|who)\z/i, first: /\A(?:first|first name|given name)\z/i,
                  last: /\A(?:last|last name|surname|family name)\z/i, groups: /\A(?:groups?|class|line|team)\z/i,
                  leader: /\A(?:leader|captain)\z/i,
                  adult: /\A(?:adult|over 18|18\+|age|age\s*(?:band|group)|band)\z/i,
                  needs: /\A(?:needs?|access|wheelchair|wheels)\z/i }.freeze
      # What says in a column of needs that somebody comes on wheels.
      WHEELS = /\A(?:y|yes|x|true|1)\z|wheel/i
      GROUP_LINE = /\A(?<group>[^:]{1,60}?)\s*:\s*(?<name>.*)\z/
      private_constant :GROUP_LINE
      YES = /\A(?:y|yes|x|true|1|leader)\z/i
      # band: an age band, or nil; wheels: whether they come on wheels; needs: what else they always need, as typed.
      Person = Struct.new(
        :name, :groups, :leader, :adult, :band, :wheels, :needs, :line, :lines, :known, keyword_init: true
      )
      Fault = Struct.new(:line, :kind, :subject, :lines, keyword_init: true)
      # people: those taken and those there already (known); lines: how many lines of the file are what; cells: those of
      # the first line; columns: {kind => which of them}; heading: whether the first line was headings.
      Result = Struct.new(:people, :faults, :columns, :new_groups, :lines, :cells, :heading, keyword_init: true) do
        def fresh = people.reject(&:known)
        def known = people.select(&:known)
      end

      # columns, heading: what somebody said the columns are, and whether the first line is headings; nil where the
      # reader is to find out.
      def initialize(source, known_people: [], known_groups: [], most_groups: nil, columns: nil, heading: nil)
        @source = source
        @said = columns
        @heading = heading
        @known = known_people.to_set { |name| fold(name) }
        @groups = known_groups.to_set { |name| fold(name) }
        @most_groups = most_groups
        @faults = []
        @new_groups = []
        @names = Set.new
      end

      def result
        empty, filled = Csv.parse(@source).partition { |row| row.cells&.all?(&:empty?) }
        @first = filled.first&.cells.to_a
        find_columns(header(@first))
        rows = within_limit(filled.drop(@heading ? 1 : 0))
        rows = rows.flat_map { |row| of_group(row) } unless @heading || @said
        people = rows.filter_map { |row| person(row) }
        answer(people, heading: @heading ? filled.first.lines.size : 0, empty: lines(empty))
      rescue FaultyFile
        fault(1..1, :no_text, "")
        @columns = {}
        answer([], heading: 0, empty: 0)
      end

      private

      def find_columns(found)
        @heading = !found.nil? if @heading.nil?
        @heading = false if @first.empty?
        @columns = @said || found || { name: 0, groups: 1, leader: 2 }
      end

      def lines(some) = some.sum { |each| each.lines.size }

      def answer(people, heading:, empty:)
        known, taken = people.partition(&:known)
        Result.new(
          people:,
          faults: @faults,
          columns: @columns,
          new_groups: @new_groups,
          cells: @first.to_a,
          heading: @heading ? true : false,
          lines: { taken: lines(taken), known: lines(known), left_out: lines(@faults), heading:, empty: }
        )
      end

      def within_limit(rows)
        rest = rows.drop(MAX_LINES)
        fault(rest.flat_map { |row| row.lines.to_a }, :too_many_lines, MAX_LINES) if rest.any?
        rows.first(MAX_LINES)
      end

      def header(cells)
        found =
          COLUMNS.filter_map { |name, pattern| (at = cells.index { |cell| cell.match?(pattern) }) && [name, at] }.to_h
        found if found.key?(:name) || found.key?(:first)
      end

      # "Scouts: Ada, Bram" is a row for each; the line is counted with the first of them.
      def of_group(row)
        match = GROUP_LINE.match(row.cells&.first.to_s) or return [row]
        names = [match[:name], *row.cells.drop(1)].reject(&:empty?)
        return [row.with_cells(["", match[:group]])] if names.empty?

        names.each_with_index.map do |name, i|
          row.with_cells([name, match[:group]], lines: i.zero? ? row.lines : (row.lines.first...row.lines.first))
        end
      end

      def person(row)
        return fault(row.lines, :unreadable, row.text[0, 40]) unless row.cells

        name = full_name(row.cells)
        groups = groups(row.cells)
        problem = problem(name, groups)
        return fault(row.lines, problem, problem == :no_name ? row.cells.join(", ")[0, 40] : name[0, 40]) if problem

        take(row, name, groups)
      end

      def problem(name, groups)
        return :no_name unless name.match?(/[[:alnum:]]/)
        return :long_name if name.length > MAX_NAME
        return :twice if @names.include?(fold(name))
        return :long_group if groups.any? { |group| group.length > MAX_GROUP }

        :too_many_groups if @most_groups && (@groups | groups.map { |group| fold(group) }).size > @most_groups
      end

      def take(row, name, groups)
        @names << fold(name)
        groups.each { |group| @new_groups << group if @groups.add?(fold(group)) }
        Person.new(
          name:,
          groups:,
          leader: cell(row.cells, :leader).match?(YES),
          **age(cell(row.cells, :adult)),
          **needs(cell(row.cells, :needs)),
          line: row.lines.first,
          lines: row.lines,
          known: @known.include?(fold(name))
        )
      end

      # "yes", "under 8", "8–11", "10"
      def age(said)
        band = said.match?(YES) ? Core::Planning::AgeBands::ADULT : Core::Planning::AgeBands.said(said)
        { band:, adult: band == Core::Planning::AgeBands::ADULT }
      end

      # "wheelchair", "yes", "wheels; lip-reads"
      def needs(said)
        plain = said.match?(/\A(?:y|yes|x|true|1|no|n|wheel ?chair|wheels)?\z/i)
        { wheels: said.match?(WHEELS), needs: plain ? "" : said[0, 120] }
      end

      def full_name(cells)
        name = cell(cells, :name)
        name.empty? ? [cell(cells, :first), cell(cells, :last)].reject(&:empty?).join(" ") : name
      end

      def cell(cells, column) = @columns[column] ? cells[@columns[column]].to_s : ""
      def groups(cells) = cell(cells, :groups).split(%r{\s*[;/+&,]\s*}).reject(&:empty?).uniq { |group| fold(group) }
      def fold(name) = name.downcase

      def fault(lines, kind, subject)
        @faults << Fault.new(line: lines.first, kind:, subject:, lines:)
        nil
      end
    end
  end
end
