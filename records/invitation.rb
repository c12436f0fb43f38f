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

    def open?(now) = accepted_at.nil? && expires_at > now
  end
end
