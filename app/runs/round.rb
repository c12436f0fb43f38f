# frozen_string_literal: true

module App
  module Runs
    # The notes of a piece as a round gives them.
    class Round
      # Kinds that are said aloud; what somebody promised to come back to stays parked in the room.
      KINDS = %w[fix praise question correction].freeze

      # mapping: Records::Mapping::Runs of the piece; notes: relation of those that are meant.
      def initialize(piece, mapping, notes: piece.notes.open.where(kind: KINDS))
        @piece = piece
        @mapping = mapping
        @notes = notes
      end

      # {id => Records::Note}.
      def rows = @rows ||= @notes.includes(:section, :person, :group, :asker, :givings).index_by(&:id)

      # Core::Running::NotesRound.
      def core
        @core ||= Core::Running::NotesRound.new(
          rows.values.map { |row| note(row) }, name: ->(id) { names.fetch(id, "") }
        )
      end

      # How often a note was given.
      def given(row) = row.givings.count { |giving| giving.taken_back_at.nil? }

      private

      def names = @names ||= @piece.studio.people.where(id: rows.values.filter_map(&:person_id)).pluck(:id, :name).to_h

      def note(row)
        count = @mapping.note_count(row)
        person = row.person_id if row.about == "person"
        Core::Running::NotesRound::Note.new(
          id: row.id, count:, person:, text: row.text, place: place(row, count), given: given(row),
          open: given(row).zero? && row.kind != "correction"
        )
      end

      def place(row, count) = (@mapping.eights.place_of(count)&.first(2) if count && row.row)
    end
  end
end
