# frozen_string_literal: true

module Records
  # A note from the room: something to fix, praise, a question, or a promise to come back to something. at: its count
  # within the eight, in twelfths.
  class Note < Base
    KINDS = %w[fix praise question promise].freeze
    ABOUT = %w[section join person group piece].freeze
    MOST = 500

    belongs_to :studio
    belongs_to :piece
    belongs_to :rehearsal, optional: true
    belongs_to :slot, optional: true
    belongs_to :section, optional: true
    belongs_to :person, optional: true
    belongs_to :group, optional: true
    normalizes :text, with: ->(text) { text.to_s.gsub(/\s+/, " ").strip }
    validates :text, presence: true, length: { maximum: MOST }
    validates :kind, inclusion: { in: KINDS }
    validates :about, inclusion: { in: ABOUT }
    scope :standing, -> { where(taken_back_at: nil) }
    # Promises and questions nobody has come back to.
    scope :parked, -> { standing.where(kind: %w[promise question], answered_at: nil).order(:id) }
  end
end
