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
        message = ::Mail.new(
          to: row.recipient,
          from: "Join Chain <no-reply@#{URI(Settings.app_url).host}>",
          subject: row.subject,
          charset: "UTF-8",
          message_id: "<join-chain-#{row.id}@#{URI(Settings.app_url).host}>"
        )
        words(message, row)
        message
      end

      # Its words, with the way to have fewer of them, and calls for a calendar where it carries some.
      def words(message, row)
        choose = row.membership && "#{Settings.app_url}/mail/#{row.membership.mail_key}"
        message["List-Unsubscribe"] = "<#{choose}>" if choose
        text = [row.body, (I18n.t("mails.foot", link: choose) if choose)].compact.join("\n")
        return message.body = text unless row.calendar

        message.text_part = ::Mail::Part.new(body: text, charset: "UTF-8", content_type: "text/plain; charset=UTF-8")
        message.attachments["calls.ics"] = { mime_type: "text/calendar; charset=UTF-8; method=PUBLISH",
                                             content: row.calendar }
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
