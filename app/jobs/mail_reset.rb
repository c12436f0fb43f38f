# frozen_string_literal: true

module App
  module Jobs
    # Mails a link for a new password, if the address is known.
    class MailReset < Que::Job
      self.priority = Lanes::MAIL

      def run(email)
        account = Records::Account.find_by(email:)
        return unless account

        expires_at = Shared::Clock.now + (Records::PasswordReset::HOURS * 3600)
        _, token = Records::PasswordReset.issue(account:, expires_at:)
        Shared::Post.new(nil).send_out(
          to: account.email,
          template: "reset",
          name: account.name,
          link: "#{Settings.app_url}/reset/#{token}"
        )
      end
    end
  end
end
