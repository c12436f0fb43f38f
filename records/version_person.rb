# frozen_string_literal: true

module Records
  # Who dances which version: a dancer or a whole group, in one section, or (without one) in the whole piece.
  class VersionPerson < Base
    self.table_name = "version_people"
    belongs_to :studio
    belongs_to :piece
    belongs_to :person, optional: true
    belongs_to :group, optional: true
    belongs_to :section, optional: true
  end
end
