# frozen_string_literal: true

module App
  module Shared
    # Puts a mail into the outbox and asks the worker to deliver it.
    class Post
      def initialize(studio) = @studio = studio

      # template: a key under mails in the locale file, with subject and body.
      def send_out(to:, template:, **values)
        put({ recipient: to, **words(template, values) })
      end

      # The same to somebody of the team, in the way they chose for its topic: at once, but not in the quiet hours; with
      # the day's letter; or not at all. calendar: text of an iCalendar file to go with it. Answers the mail, or nil.
      def tell(membership, topic:, template:, calendar: nil, **values)
        way = membership.mail_way(topic)
        return if way == "never"

        account = membership.account
        put({
          recipient: account.email, **words(template, { name: account.name, **values }), topic:, calendar:,
          membership_id: membership.id, held: way == "daily",
          send_after: (QuietHours.new(@studio).ending(Clock.now) if way == "now")
        })
      end

      private

      def words(template, values)
        { subject: I18n.t("mails.#{template}.subject", **values), body: I18n.t("mails.#{template}.body", **values) }
      end

      def put(fields)
        Records::Mail.transaction do
          mail = Records::Mail.create!(studio: @studio, created_at: Clock.now, **fields)
          later = mail.send_after ? { job_options: { run_at: mail.send_after } } : {}
          Jobs::Deliver.enqueue(mail.id, **later) unless mail.held
          mail
        end
      end
    end
  end
end
