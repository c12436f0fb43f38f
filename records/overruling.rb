# frozen_string_literal: true

module Records
  # A director's word that a run goes ahead although something blocked it, and why. Append-only.
  class Overruling < Base
    belongs_to :studio
    belongs_to :piece
    normalizes :reason, with: ->(reason) { reason.to_s.gsub(/\s+/, " ").strip }
    validates :kind, inclusion: { in: Core::Learning::Readiness::KINDS }
    validates :reason, presence: true, length: { maximum: 300 }
  end
end
