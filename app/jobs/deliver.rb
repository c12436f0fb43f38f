# frozen_string_literal: true

require "mail"

module App
  module Jobs
    # Delivers one mail of the outbox: as an .eml file, and by SMTP where SMTP_URL is set. Doing it again is harmless.
    class Deliver < Que::Job
      self.priority = Lanes::MAIL

      def run(mail_id)
        row = Records::Mail.find_by(id: mail_id)
        return if row.nil? || row.delivered_at

        message = build(row)
        keep(row, message)
        deliver(message) if Settings.smtp
        row.update!(delivered_at: Shared::Clock.now)
      end

      private

      def build(row)
        ::Mail.new(
          to: row.recipient,
          from: "Join Chain <no-reply@#{URI(Settings.app_url).host}>",
          subject: row.subject,
          body: row.body,
          charset: "UTF-8",
          message_id: "<join-chain-#{row.id}@#{URI(Settings.app_url).host}>"
        )
      end

      def keep(row, message)
        dir = File.join(Settings.files_dir, "outbox")
        FileUtils.mkdir_p(dir)
        File.write(File.join(dir, "#{row.id}.eml"), message.to_s, perm: 0o600)
      end

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
