# frozen_string_literal: true

module Core
  module Learning
    # One line of the ledger. kind: taught, danced, passed, ran, signed_off, self_reported, clip_reviewed, corrected,
    # changed, undone. day: a Date. undoes: id of the entry that an "undone" takes back. "Passed" says that it was
    # danced at a rung in a pass that was counted, "ran" that it was danced well in a run; whether they have it a person
    # says ("danced"), or the way of counting clean runs.
    class Entry < Values::Value.of(:id, :kind, :day, rung: 0, undoes: nil)
      KINDS = %w[taught danced passed ran signed_off self_reported clip_reviewed corrected changed undone].freeze

      # Those that somebody who teaches can enter.
      BY_HAND = %w[taught danced signed_off clip_reviewed corrected].freeze
      # Those of them that are for whoever teaches it.
      OF_TEACHERS = %w[signed_off clip_reviewed].freeze
      # Kinds that lift the cell to their rung; the others only inform.
      LIFTING = %w[taught danced signed_off clip_reviewed].freeze
      # Kinds that keep it fresh.
      REFRESHING = (LIFTING + %w[passed ran]).freeze
      # Kinds that are a clean run where they are at a rung that counts.
      CLEAN = %w[danced ran].freeze
      # Kinds by which somebody who teaches answers what a dancer reported; "corrected" says: not yet.
      ANSWERING = (LIFTING + %w[corrected]).freeze

      private

      def settle
        return if KINDS.include?(kind)

        raise ValueError.new("kind", "must be one of #{KINDS.join(', ')}, got #{kind.inspect}")
      end
    end
  end
end
