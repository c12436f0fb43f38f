# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Brings the order of links and the sections' eights back to an earlier revision, as a new one. What hangs on a
      # link that stays, such as its formations, stays.
      # Sections begun since then stay, unplaced.
      class RestoreRevision
        def initialize(revision, account)
          @revision = revision
          @piece = revision.piece
          @account = account
          @work = Formats::Piece.parse(revision.work.to_json).first
        end

        def run
          @piece.alone(:editing) do
            @work.sections.each { |section| bring_back(section) }
            replace_links
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record("back to version #{@revision.number}")
          end
        end

        private

        def bring_back(section)
          row = @piece.sections.find_by(id: section.id) or return
          row.update!(**facts(section), choreographer: row.studio.people.find_by(id: section.choreographer))
          there = row.studio.people.where(id: section.co_teachers.grep(/\A\d+\z/)).ids
          SetCoTeachers.new(row).to(there)
          section.parts.each { |part| bring_back_part(row, part) }
          row.eights.delete_all
          Records::Eight.add_all(section.rows.each_with_index.map { |eight, i| eight_row(row, eight, i + 1) })
        end

        def facts(section)
          {
            name: section.name,
            difficulty: section.difficulty,
            method_preset: section.method,
            minutes: section.minutes,
            time: section.time,
            feel: section.feel,
            teachers_needed: section.teachers_needed,
            known: section.known,
            stated_entry: plain(section.entry),
            stated_exit: plain(section.exit)
          }
        end

        def bring_back_part(row, part)
          row.parts.where(group_id: part.group.to_i)
            .update_all(start_offset: part.offset, hold_before: part.hold_before, hold_after: part.hold_after)
        end

        def plain(edge) = edge.to_h { |name, value| [name.to_s, value.is_a?(Symbol) ? value.to_s : value] }

        def eight_row(row, eight, position)
          {
            studio_id: row.studio_id,
            section_id: row.id,
            position:,
            counts: eight.counts,
            text: eight.text,
            cue: eight.cue,
            name: eight.name,
            created_at: Shared::Clock.now,
            updated_at: Shared::Clock.now
          }
        end

        def replace_links
          there = @piece.links.index_by(&:id)
          @piece.links.where.not(id: @work.links.map { |link| link.id.to_i }).delete_all
          @work.links.each_with_index do |link, i|
            row = there[link.id.to_i] || @piece.links.new(id: link.id&.to_i, studio_id: @piece.studio_id)
            row.update!(
              section_id: link.section.id.to_i,
              position: i + 1,
              mirrored: link.mirrored,
              called: link.called,
              changes_made: Records::Mapping::Works.made(link.changes)
            )
          end
        end
      end
    end
  end
end
