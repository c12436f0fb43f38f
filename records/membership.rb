# frozen_string_literal: true

module Records
  # An account's place in a studio. person: the choreographer or assistant it is, if any.
  class Membership < Base
    ROLES = %w[director choreographer assistant].freeze
    # What is mailed about, with the way that holds where nobody chose another.
    TOPICS = { "calls" => "now", "joins" => "now", "steps" => "now", "sign_offs" => "daily", "notes" => "daily" }.freeze
    # At once, with the day's letter, or not at all.
    MAIL_WAYS = %w[now daily never].freeze

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

    def mail_way(topic) = mail_ways.fetch(topic) { TOPICS.fetch(topic) }

    # What opens the page on which this is chosen, without signing in.
    def mail_key = mail_token || self.class.where(id:).pick(:mail_token)

    def self.by_mail_key(key) = find_by(mail_token: key.to_s)

    def director? = role == "director"
    def last_director? = director? && studio.memberships.where(role: "director").count == 1
  end
end
