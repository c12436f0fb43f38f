# frozen_string_literal: true

module Records
  # An invitation to join a studio, mailed as a link that works once for two weeks.
  class Invitation < Base
    include Token

    DAYS = 14
    belongs_to :studio
    belongs_to :person, optional: true
    normalizes :email, with: ->(email) { email.to_s.strip.downcase }
    validates :email, format: { with: Account::EMAIL }
    validates :role, inclusion: { in: Membership::ROLES }

    scope :open, ->(now) { where(accepted_at: nil).where("expires_at > ?", now) }

    # Its link works no longer. One that was accepted, or ended before, stays as it is.
    def withdraw(now) = self.class.open(now).where(id:).update_all(expires_at: now)

    def open?(now) = accepted_at.nil? && expires_at > now
  end
end
