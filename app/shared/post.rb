# frozen_string_literal: true

module App
  module Shared
    # Puts a mail into the outbox and asks the worker to deliver it.
    class Post
      def initialize(studio) = @studio = studio

      # template: a key under mails in the locale file, with subject and body.
      def send_out(to:, template:, **values)
        Records::Mail.transaction do
          mail =
            Records::Mail.create!(
              studio: @studio,
              recipient: to,
              subject: I18n.t("mails.#{template}.subject", **values),
              body: I18n.t("mails.#{template}.body", **values)
            )
          Jobs::Deliver.enqueue(mail.id)
          mail
        end
      end
    end
  end
end
