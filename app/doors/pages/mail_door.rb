# frozen_string_literal: true

module App
  module Doors
    module Pages
      # What somebody gets by mail, reached from a mail without signing in: it shows no more than that.
      class MailDoor
        attr_reader :key

        def initialize(membership, key)
          @membership = membership
          @key = key
        end

        def title = I18n.t("mail_door.title")
        def studio_name = @membership.studio.name
        def ways = Records::Membership::MAIL_WAYS.map { |way| [way, I18n.t("mail_door.ways.#{way}")] }

        # [[topic, words, its way], …]
        def topics
          Records::Membership::TOPICS.keys.map do |topic|
            [topic, I18n.t("mail_door.topics.#{topic}"), @membership.mail_way(topic)]
          end
        end
      end
    end
  end
end
