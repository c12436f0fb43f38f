# frozen_string_literal: true

module Records
  # One line of the learning log. Append-only: the database refuses to change or delete one.
  class LedgerEntry < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :person
    belongs_to :account, optional: true
    validates :kind, inclusion: { in: Core::Learning::Entry::KINDS }
    validates :note, length: { maximum: 300 }

    # strand: Core::Learning::Strand.
    def self.for_cell(person_id, item_key, strand = Core::Learning::Strand::OWN)
      where(person_id:, item_key:, **Mapping::Learnings.columns(strand)).order(:id)
    end
  end
end
