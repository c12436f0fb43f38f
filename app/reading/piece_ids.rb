# frozen_string_literal: true

module App
  module Reading
    # Ids within a piece's file: sections, links and groups by their place, people by their place in a
    # list.
    class PieceIds
      # work: Core::Piece::Work with row numbers; people: in the order in which they are numbered.
      def initialize(work, people)
        @sections = numbered(work.sections.map(&:id), "s")
        @links = numbered(work.links.map(&:id), "l")
        @groups = numbered(work.groups.map(&:first), "g")
        @people = numbered(people.map(&:id), "p")
      end

      def section(id) = @sections[id]
      def link(id) = @links[id]
      def group(id) = @groups[id]
      def person(id) = @people[id]

      # The work with these ids.
      def renamed(work)
        groups = work.groups.map { |id, name| [group(id), name] }
        sections = work.sections.to_h { |each| [each.id, renamed_section(each, groups)] }
        links = work.links.map { |link| link.with(id: self.link(link.id), section: sections.fetch(link.section.id)) }
        work.with(groups:, sections: sections.values, links:)
      end

      private

      def numbered(ids, letter) = ids.each_with_index.to_h { |id, i| [id, "#{letter}#{i + 1}"] }

      def renamed_section(each, groups)
        parts = each.parts_said? ? [] : each.parts.map { |part| part.with(group: group(part.group)) }
        each.with(
          id: section(each.id), choreographer: person(each.choreographer),
          co_teachers: each.co_teachers.map { |id| person(id) }, planned_by: nil, parts:, cast_groups: groups
        )
      end
    end
  end
end
