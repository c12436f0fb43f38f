# frozen_string_literal: true

module Records
  # A way back in, mailed as a link that works once for two hours.
  class PasswordReset < Base
    include Token

    HOURS = 2
    belongs_to :account
    def open?(now) = used_at.nil? && expires_at > now
  end
end
