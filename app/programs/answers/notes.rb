# frozen_string_literal: true

module App
  module Programs
    module Answers
      # What was written down of a piece. Notes to one person alone stay with the team and that person.
      class Notes
        def initialize(piece, _now) = @piece = piece

        def rows
          notes = @piece.notes.standing.where(person_id: nil).includes(:section, :group, :givings).order(:id)
          notes.map do |note|
            { id: note.id, day: note.created_at.to_date.iso8601, kind: note.kind, section: note.section&.name,
              eight: note.row, count: note.count, group: note.group&.name, text: note.text, by: note.by_name,
              given: note.givings.size, settled: !note.answered_at.nil? }
          end
        end
      end
    end
  end
end
