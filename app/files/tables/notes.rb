# frozen_string_literal: true

module App
  module Files
    module Tables
      # Everything written down about a piece: a row a note.
      class Notes
        COLUMNS = %w[date kind where for note by given settled].freeze

        def initialize(piece, _today)
          @piece = piece
        end

        def name = "notes"

        def tables
          columns = COLUMNS.map { |column| I18n.t("files.columns.#{column}") }
          rows = @piece.notes.standing.includes(:section, :group, :person, :givings).order(:id)
          [Formats::Table.new(name: I18n.t("files.tables.notes"), columns:, rows: rows.map { |note| row(note) })]
        end

        private

        def row(note)
          [
            note.created_at.to_date, I18n.t("files.note_kinds.#{note.kind}"), place(note), whom(note), note.text,
            note.by_name, note.givings.size, note.answered_at&.to_date
          ]
        end

        def place(note)
          [note.section&.name, note.place].compact.join(", ").presence || I18n.t("notes.whole_piece")
        end

        def whom(note) = note.person&.name || note.group&.name || I18n.t("runs.everyone")
      end
    end
  end
end
