# frozen_string_literal: true

module App
  module Jobs
    # Delivers one mail of the outbox: as an .eml file, and by SMTP where SMTP_URL is set. Doing it again is harmless.
    class Deliver < Que::Job
      self.priority = Lanes::MAIL

      def run(mail_id)
        row = Records::Mail.find_by(id: mail_id)
        return if row.nil? || row.delivered_at

        message = Shared::MailFile.build(row)
        Shared::MailFile.keep(row, message)
        deliver(message) if Settings.smtp
        row.update!(delivered_at: Shared::Clock.now)
      end

      private

      def deliver(message)
        uri = URI(Settings.smtp)
        message.delivery_method(
          :smtp,
          address: uri.host,
          port: uri.port || 587,
          user_name: plain(uri.user),
          password: plain(uri.password),
          enable_starttls_auto: true
        )
        message.deliver!
      end

      def plain(part) = part && URI::DEFAULT_PARSER.unescape(part)
    end
  end
end
