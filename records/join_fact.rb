# frozen_string_literal: true

module Records
  # What the director says of a join: another owner than the entering choreographer, a note.
  class JoinFact < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :owner, class_name: "Records::Person", optional: true
    validates :note, length: { maximum: 500 }
  end
end
