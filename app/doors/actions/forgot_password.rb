# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Asks the worker for a way back in by mail. Whether the address is known is looked up there: this answers the
      # same, as fast, for any address, and a mail that would be one too many is not sent, without a word.
      class ForgotPassword
        def initialize(email, throttle)
          @email = email.to_s.strip.downcase
          @throttle = throttle
        end

        def run = (Jobs::MailReset.enqueue(@email[0, 200]) unless @throttle.mail_full?(@email))
      end
    end
  end
end
