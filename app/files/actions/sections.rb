# frozen_string_literal: true

module App
  module Files
    module Actions
      # Writes the sections of a piece's file, their eights and parts, and the links in running order.
      class Sections
        LETTERS = [*"A".."Z", *"AA".."ZZ"].freeze

        # people: {the file's id => Records::Person}; groups: {the file's id => Records::Group}.
        def initialize(piece, content, people, groups)
          @piece = piece
          @content = content
          @people = people
          @groups = groups
          @letters = LETTERS.dup
        end

        def write
          given = @content.section_facts.values.filter_map { |facts| facts["letter"] }
          @letters -= given if given.uniq == given
          rows = @content.work.sections.each_with_index.to_h { |section, i| [section.id, section(section, i + 1)] }
          @content.work.links.each_with_index { |link, i| link(link, rows.fetch(link.section.id), i + 1) }
        end

        private

        def section(section, position)
          said = @content.section_facts.fetch(section.id.to_s, {})
          row = @piece.sections.create!(
            studio: @piece.studio, position:, letter: letter(said["letter"]), **facts(section), **of_file(said)
          )
          Piece::Actions::SetCoTeachers.new(row).to(section.co_teachers.map { |id| @people.fetch(id).id })
          Records::Eight.add_all(section.rows.each_with_index.map { |eight, i| eight(row, eight, i + 1) })
          section.parts.each { |part| part(row, part) } unless section.parts_said?
          row
        end

        # The letter it had, where the file gives each its own.
        def letter(given) = given && !@letters.include?(given) ? given : @letters.shift

        def facts(section)
          {
            name: section.name, choreographer: @people[section.choreographer], time: section.time, feel: section.feel,
            fidelity: section.fidelity, method_preset: section.method, difficulty: section.difficulty,
            minutes: section.minutes, expected_counts: section.expected_counts, hazards: section.hazards,
            stated_entry: plain(section.entry), stated_exit: plain(section.exit), known: section.known,
            being_made: section.being_made, layer_school: section.layers, teachers_needed: section.teachers_needed
          }
        end

        def of_file(said)
          { note: said["note"].to_s, said_length: said["said_length"].to_s,
            said_teachers: said["said_teachers"].to_a, bring: said["bring"].to_s,
            called_by: said.fetch("called_by", "counts"), learned_way: said["learned_way"],
            learned_runs: said["learned_runs"],
            layered_ladder: said.fetch("layered_ladder", false) }
        end

        def plain(edge) = edge.to_h { |name, value| [name.to_s, value.is_a?(Symbol) ? value.to_s : value] }

        def eight(row, eight, position)
          now = Shared::Clock.now
          { studio_id: row.studio_id, section_id: row.id, position:, counts: eight.counts, text: eight.text,
            cue: eight.cue, name: eight.name, created_at: now, updated_at: now }
        end

        def part(row, part)
          row.parts.create!(
            studio: row.studio, group: @groups.fetch(part.group), start_offset: part.offset,
            hold_before: part.hold_before, hold_after: part.hold_after, mirrored: part.mirrored,
            stretches: part.stretches, pauses: part.pauses, level: part.level, place: part.place, facing: part.facing
          )
        end

        def link(link, section, position)
          @piece.links.create!(
            studio: @piece.studio, section:, position:, mirrored: link.mirrored,
            called: link.called,
            changes_made: Records::Mapping::Works.made(link.changes)
          )
        end
      end
    end
  end
end
