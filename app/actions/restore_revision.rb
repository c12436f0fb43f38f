# frozen_string_literal: true

module App
  module Actions
    # Brings the order of links and the sections' eights back to an earlier revision, as a new one.
    # Sections begun since then stay, unplaced.
    class RestoreRevision
      def initialize(revision, account)
        @revision = revision
        @piece = revision.piece
        @account = account
        @work = Formats::Piece.parse(revision.work.to_json).first
      end

      def run
        Records::Piece.transaction do
          @piece.lock!
          @work.sections.each { |section| bring_back(section) }
          replace_links
          @piece.touch
          Revise.new(@piece, @account).record("back to version #{@revision.number}")
        end
      end

      private

      def bring_back(section)
        row = @piece.sections.find_by(id: section.id) or return
        teacher = row.studio.people.find_by(id: section.choreographer)
        row.update!(name: section.name, choreographer: teacher, difficulty: section.difficulty, method_preset: section.method, minutes: section.minutes)
        row.eights.delete_all
        Records::Eight.add_all(section.rows.each_with_index.map { |eight, i| eight_row(row, eight, i + 1) })
      end

      def eight_row(row, eight, position)
        { studio_id: row.studio_id, section_id: row.id, position:, counts: eight.counts, text: eight.text, cue: eight.cue, name: eight.name,
          created_at: Clock.now, updated_at: Clock.now }
      end

      def replace_links
        @piece.links.delete_all
        rows = @work.links.each_with_index.map do |link, i|
          { id: link.id&.to_i, studio_id: @piece.studio_id, piece_id: @piece.id, section_id: link.section.id.to_i, position: i + 1, mirrored: link.mirrored,
            changes_made: Records::Mapping::Works.made(link.changes), created_at: Clock.now, updated_at: Clock.now }
        end
        Records::Link.add_all(rows)
      end
    end
  end
end
