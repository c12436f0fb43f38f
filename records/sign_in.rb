# frozen_string_literal: true

module Records
  # A place where somebody is signed in: what kind of device, since when, last seen when. Its token is in the cookie
  # there; without this row the cookie opens nothing.
  class SignIn < Base
    include Token

    DAYS = 30
    # Last seen is written at most so often.
    SEEN_EVERY = 600

    belongs_to :account
    scope :live, ->(now) { where(last_seen_at: (now - (DAYS * 86_400))..) }

    def self.begin(account, device:, now:)
      issue(account:, device:, last_seen_at: now, created_at: now)
    end

    def live?(now) = last_seen_at >= now - (DAYS * 86_400)

    def seen(now)
      update_columns(last_seen_at: now) if now - last_seen_at >= SEEN_EVERY
      self
    end
  end
end
