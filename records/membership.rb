# frozen_string_literal: true

module Records
  # An account's place in a studio. person: the choreographer or assistant it is, if any.
  class Membership < Base
    ROLES = %w[director choreographer assistant].freeze

    belongs_to :studio
    belongs_to :account
    belongs_to :person, optional: true
    validates :role, inclusion: { in: ROLES }

    # Takes the place away, and with it every invitation that would lead back to it.
    def give_up(now)
      transaction do
        studio.invitations.where(email: account.email, accepted_at: nil).update_all(expires_at: now)
        destroy!
      end
    end

    def director? = role == "director"
    def last_director? = director? && studio.memberships.where(role: "director").count == 1
  end
end
