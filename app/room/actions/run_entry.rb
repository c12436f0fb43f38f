# frozen_string_literal: true

module App
  module Room
    module Actions
      # What all that is said during a run shares: the run it belongs to, and a place in the piece.
      class RunEntry < Entry
        TWELFTHS = Records::Note::TWELFTHS
        MOST_ROWS = 200

        private

        # The run that the device began, under its own key.
        def begun
          @begun ||= @rehearsal.runs.find_by(client_id: @sent.text("run"), undoes: nil)
        end

        def piece = begun.piece
        def link = @link ||= @sent.row(piece.links, "link")

        def place
          { link_id: link.id, row: (@sent.whole("row") || 1).clamp(1, MOST_ROWS),
            at: (@sent.whole("twelfths") || 0).clamp(0, Core::Piece::Row::MAX * TWELFTHS) }
        end

        # What whoever danced it has danced, as it now stands.
        def write_danced = Runs::Actions::WriteDanced.new(begun, @member, @now).run

        # Evening entries have a rehearsal; what belongs to a run has it by the run.
        def said_of_run = said.except(:rehearsal_id)
      end
    end
  end
end
