# frozen_string_literal: true

require "mail"

module App
  module Shared
    # A mail of the outbox as a message and as a file (.eml).
    module MailFile
      module_function

      # Records::Mail => Mail::Message.
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

      def path(row) = File.join(Settings.files_dir, "outbox", "#{row.id}.eml")

      def keep(row, message = build(row))
        FileUtils.mkdir_p(File.dirname(path(row)))
        File.write(path(row), message.to_s, perm: 0o600)
      end

      # Every word of a kept file, its attachments too; "" where there is none.
      def text(row)
        return "" unless File.exist?(path(row))

        message = ::Mail.read(path(row))
        parts = message.multipart? ? message.all_parts : [message]
        [message.subject, *parts.map { |part| part.body.decoded.dup.force_encoding("UTF-8").scrub }].join("\n")
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
    end
  end
end
