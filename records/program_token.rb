# frozen_string_literal: true

module Records
  # What another program reads a studio with; can be revoked. It reads, and does nothing else.
  class ProgramToken < Base
    include Token

    belongs_to :studio
    normalizes :name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :name, presence: true, length: { maximum: 60 }
    scope :live, -> { where(revoked_at: nil) }

    # Kept by the day, so that somebody sees which are used; a request more writes nothing.
    def used(today) = (update_columns(last_used_on: today) unless last_used_on == today)
  end
end
