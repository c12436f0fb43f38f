# frozen_string_literal: true

module Core
  module Piece
    # Writes a work's structure as the lines StructureReader understands. teachers: {choreographer id => name}; said:
    # {section id => [length as it was said where nobody knows it, names of teachers whom nobody knows]}.
    class StructureWriter
      def initialize(work, teachers: {}, said: {})
        @work = work
        @teachers = teachers
        @said = said
      end

      # The lines of a piece, as StructureReader reads them back.
      def text
        seen = []
        placed = @work.links.map do |link|
          first = !seen.include?(link.section.id)
          seen << link.section.id
          first ? first_line(link) : [repeat(link), *echoes(link)].join(", ")
        end
        [*placed, *@work.unplaced.map { |section| [*described(section), "not placed"].join(", ") }].join("\n")
      end

      private

      def first_line(link) = [*described(link.section), *echoes(link)].join(", ")

      def repeat(link)
        return "#{link.section.name}, again" if link.called.empty?

        "#{link.called}, same as #{link.section.name}"
      end

      def described(section)
        length, strangers = @said.fetch(section.id, ["", []])
        taught = [*section.teachers.filter_map { |id| @teachers[id] }, *strangers].join(" & ")
        known = section.known ? "known" : ""
        written = LengthText.render(section.rows.map(&:counts))
        length = "length not known" if written.empty? && length.empty?
        [section.name, written.empty? ? length : written, taught, known].reject(&:empty?)
      end

      def echoes(link)
        only = link.only
        [
          ("other side" if link.mirrored),
          ("only eights #{only.uniq.join('-')}" if only),
          ("with changes in #{link.changes.touched.join(', ')}" if link.altered? && !only)
        ].compact
      end
    end
  end
end
