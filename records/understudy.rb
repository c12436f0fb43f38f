# frozen_string_literal: true

module Records
  # Who learns another's part beside their own, to step in.
  class Understudy < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :person
    belongs_to :covered, class_name: "Records::Person", foreign_key: :covers_person_id, inverse_of: false
    validate :somebody_else

    private

    def somebody_else
      errors.add(:covers_person_id, "is the same person") if person_id == covers_person_id
    end
  end
end
