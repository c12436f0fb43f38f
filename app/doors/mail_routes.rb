# frozen_string_literal: true

module App
  module Doors
    # What somebody of a team gets by mail: chosen from a mail, without signing in, or from the settings.
    module MailRoutes
      def self.registered(app)
        app.allow(:member, get: "/mail") { redirect "/mail/#{member.mail_key}" }
        app.allow :anyone, get: "/mail/:key", secret: :key do
          membership = Records::Membership.by_mail_key(params["key"]) || halt(404)
          page "doors/mail_door", Pages::MailDoor.new(membership, params["key"]), layout: :plain
        end
        app.allow :anyone, post: "/mail/:key", secret: :key, takes: { ways: :table } do
          membership = Records::Membership.by_mail_key(params["key"]) || halt(404)
          keep_out_crowd
          Actions::ChooseMail.new(membership, params["ways"]).run
          page "doors/mail_door", Pages::MailDoor.new(membership, params["key"]), layout: :plain, saved: true
        end
      end
    end
  end
end
