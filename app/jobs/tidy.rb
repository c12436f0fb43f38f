# frozen_string_literal: true

module App
  module Jobs
    # Takes away what has had its time: keys of forms, counted tries, sign-ins nobody used for a month. Run by the
    # worker from time to time; running it twice is harmless.
    module Tidy
      EVERY = 3600

      module_function

      def run(now)
        Records::Submission.where(created_at: ...(now - (Shared::SubmitOnce::DAYS * 86_400))).delete_all
        Records::Try.where(since: ...(now - 86_400)).delete_all
        Records::SignIn.where(last_seen_at: ...(now - (Records::SignIn::DAYS * 86_400))).delete_all
      end
    end
  end
end
