# frozen_string_literal: true

module Core
  module Piece
    # Writes a work's structure as the lines StructureReader understands. teachers: {choreographer id => name}.
    class StructureWriter
      def initialize(work, teachers: {})
        @work = work
        @teachers = teachers
      end

      # The lines of a piece, as StructureReader reads them back.
      def text
        seen = []
        placed = @work.links.map do |link|
          first = !seen.include?(link.section.id)
          seen << link.section.id
          first ? first_line(link) : [link.name, "again", *echoes(link)].join(", ")
        end
        [*placed, *@work.unplaced.map { |section| [*described(section), "not placed"].join(", ") }].join("\n")
      end

      private

      def first_line(link) = [*described(link.section), *echoes(link)].join(", ")

      def described(section)
        taught = section.teachers.filter_map { |id| @teachers[id] }.join(" & ")
        known = section.known ? "known" : ""
        [section.name, LengthText.render(section.rows.map(&:counts)), taught, known].reject(&:empty?)
      end

      def echoes(link)
        [
          ("other side" if link.mirrored),
          ("with changes in #{link.changes.touched.join(', ')}" if link.altered?)
        ].compact
      end
    end
  end
end
