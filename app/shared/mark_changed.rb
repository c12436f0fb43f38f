# frozen_string_literal: true

module App
  module Shared
    # Notes in the log of everybody who was shown an item that some of its eights changed. Answers how many people.
    class MarkChanged
      def initialize(piece, key, eights, account, today, note: nil)
        @note = note
        @piece = piece
        @key = key
        @eights = eights
        @account = account
        @today = today
      end

      def run
        people = @piece.learning_states.where(item_key: @key, rung: 1..).pluck(*STRAND)
        Records::Mapping::Learnings.append(@piece, people.map { |cell| entry(STRAND.zip(cell).to_h) }) if people.any?
        people.map(&:first).uniq.size
      end

      # Whoever has the old counts has them on every strand.
      STRAND = %i[person_id track layer covers_person_id].freeze
      private_constant :STRAND

      private

      def entry(cell)
        note = @note || I18n.t("steps.note", eights: @eights.join(", "))
        LogLine.of(@piece, @account, @today).merge(item_key: @key, kind: "changed", rung: 0, note:, **cell)
      end
    end
  end
end
