# frozen_string_literal: true

module Records
  # Who dances which version: in one section, or (without one) in the whole piece.
  class VersionPerson < Base
    self.table_name = "version_people"
    belongs_to :studio
    belongs_to :piece
    belongs_to :person
    belongs_to :section, optional: true
  end
end
