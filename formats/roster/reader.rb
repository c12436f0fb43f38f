# frozen_string_literal: true

module Formats
  module Roster
    # Reads a roster: finds the separator and the columns, names bad lines by number.
    class Reader
      MAX_LINES = 600
      MAX_NAME = 80
      COLUMNS = { name: /\A(?:name|full name|dancer|student|who)\z/i, first: /\A(?:first|first name|given name)\z/i,
                  last: /\A(?:last|last name|surname|family name)\z/i, groups: /\A(?:groups?|class|line|team)\z/i,
                  leader: /\A(?:leader|captain)\z/i, adult: /\A(?:adult|over 18|18\+)\z/i }.freeze
      YES = /\A(?:y|yes|x|true|1|leader)\z/i
      Person = Struct.new(:name, :groups, :leader, :adult, :line, keyword_init: true)
      Fault = Struct.new(:line, :kind, :subject, keyword_init: true)
      Result = Struct.new(:people, :faults, :columns, :new_groups, keyword_init: true)

      def initialize(text, known_groups: [])
        @text = text.to_s.dup.force_encoding(Encoding::UTF_8).scrub("?").delete_prefix("\uFEFF")
        @known = known_groups.map(&:downcase)
        @faults = []
      end

      def result
        rows = numbered
        @columns = header(rows.first&.last) || { name: 0, groups: 1, leader: 2 }
        rows = rows.drop(1) if header(rows.first&.last)
        people = rows.filter_map { |line, cells| person(line, cells) }
        Result.new(
          people: without_twins(people),
          faults: @faults,
          columns: @columns.keys,
          new_groups: new_groups(people)
        )
      end

      private

      def numbered
        lines = @text.lines.map(&:chomp)
        filled = lines.each_with_index.reject { |line, _| line.strip.empty? }
        fault(filled[MAX_LINES].last + 1, :too_many_lines, MAX_LINES) if filled.size > MAX_LINES
        filled.first(MAX_LINES).filter_map { |line, i| cells(line, i + 1) }
      end

      def cells(line, number)
        [
          number,
          CSV.parse_line(line, col_sep: separator, liberal_parsing: true)
            .map { |cell| cell.to_s.strip.delete_prefix("'") }
        ]
      rescue CSV::MalformedCSVError
        fault(number, :unreadable, line[0, 40])
        nil
      end

      def separator
        @separator ||=
          ["\t", ";", ","].max_by do |mark|
            [@text.lines.first(20).count { |line| line.include?(mark) }, mark == "," ? 1 : 0]
          end
      end

      def header(cells)
        return unless cells

        found =
          COLUMNS.filter_map { |name, pattern| (at = cells.index { |cell| cell.match?(pattern) }) && [name, at] }.to_h
        found if found.key?(:name) || found.key?(:first)
      end

      def person(line, cells)
        name = full_name(cells)
        return fault(line, :no_name, cells.join(", ")[0, 40]) if name.empty?
        return fault(line, :long_name, name[0, 40]) if name.length > MAX_NAME

        Person.new(
          name:,
          groups: groups(cells),
          leader: cell(cells, :leader).match?(YES),
          adult: cell(cells, :adult).match?(YES),
          line:
        )
      end

      def full_name(cells)
        name = cell(cells, :name)
        name = [cell(cells, :first), cell(cells, :last)].reject(&:empty?).join(" ") if name.empty?
        name.gsub(/\s+/, " ")
      end

      def cell(cells, column) = @columns[column] ? cells[@columns[column]].to_s : ""
      def groups(cells) = cell(cells, :groups).split(%r{\s*[;/+&,]\s*}).reject(&:empty?).map { |group| group[0, 40] }

      def without_twins(people)
        people.group_by { |person| person.name.downcase }.flat_map do |_, same|
          same.drop(1).each { |twin| fault(twin.line, :twice, twin.name) }
          same.first(1)
        end
      end

      def new_groups(people)
        people.flat_map(&:groups).uniq(&:downcase).reject { |group| @known.include?(group.downcase) }
      end

      def fault(line, kind, subject)
        @faults << Fault.new(line:, kind:, subject:)
        nil
      end
    end
  end
end
