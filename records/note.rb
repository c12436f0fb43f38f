# frozen_string_literal: true

module Records
  # A note: something to fix, praise, a question, a promise to come back to something, or a correction, which is what
  # somebody always has to watch for. at: its count within the eight, in twelfths. answered_at: since when it is
  # settled.
  class Note < Base
    KINDS = %w[fix praise question promise correction].freeze
    # What is watched for until it is settled.
    WATCHED = %w[fix correction].freeze
    TWELFTHS = 12
    ABOUT = %w[section join person group piece].freeze
    MOST = 500

    belongs_to :studio
    belongs_to :piece
    belongs_to :rehearsal, optional: true
    belongs_to :slot, optional: true
    belongs_to :section, optional: true
    belongs_to :person, optional: true
    belongs_to :group, optional: true
    belongs_to :run, optional: true
    has_many :givings
    belongs_to :asker, class_name: "Records::Person", optional: true
    normalizes :text, with: ->(text) { text.to_s.gsub(/\s+/, " ").strip }
    validates :text, presence: true, length: { maximum: MOST }
    validates :kind, inclusion: { in: KINDS }
    validates :about, inclusion: { in: ABOUT }
    scope :standing, -> { where(taken_back_at: nil) }
    # Promises and questions nobody has come back to.
    scope :parked, -> { standing.where(kind: %w[promise question], answered_at: nil).order(:id) }
    scope :open, -> { standing.where(answered_at: nil) }
    # What is to be watched for in sections, by whoever dances them: of the whole first, then by its place.
    scope :corrections, lambda {
      open.where(kind: WATCHED, about: "section").order(Arel.sql('"row" NULLS FIRST, at NULLS FIRST, id'))
    }

    # Said twice, the first time counts.
    def settle(wanted, by_name, now)
      return update!(answered_at: nil, answered_by: nil) unless wanted

      update!(answered_at: now, answered_by: by_name) unless answered_at
    end

    # Which count of its eight, from 1; nil where it is about more than one.
    def count = at && ((at / TWELFTHS) + 1)

    # "eight 3, count 5"; nil for the whole.
    def place = [("eight #{row}" if row), ("count #{count}" if row && at)].compact.join(", ").presence
  end
end
