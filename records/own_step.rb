# frozen_string_literal: true

module Records
  # A word of this studio for a step: done like a known one, perhaps over other counts.
  class OwnStep < Base
    belongs_to :studio
    normalizes :name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :name, presence: true, length: { maximum: 40 }, format: { with: /[[:alpha:]]/ }
    validates :counts, numericality: { only_integer: true, in: 1..32 }, allow_nil: true
    validate :known
    scope :accepted, -> { where(proposed_at: nil) }
    scope :proposed, -> { where.not(proposed_at: nil) }

    def proposed? = !proposed_at.nil?

    # As the core knows steps.
    def step
      base = Core::Movement::Vocabulary::DEFAULT.find(like)
      base.with(name:, aliases: [], counts: counts || base.counts)
    end

    private

    def known = (errors.add(:like, "is no known step") unless Core::Movement::Vocabulary::DEFAULT.find(like.to_s))
  end
end
