# frozen_string_literal: true

module App
  module Studio
    # Who signs in to the studio: invitations, roles, the outbox.
    module TeamRoutes
      def self.registered(app)
        app.allow :director, post: "/invitations", takes: { email: :text, role: :text, person: :text } do
          result = Actions::Invite.new(studio, params, Shared::Clock.now).run
          next page("studio/settings", Pages::Settings.new(member, result.errors), status: 422) unless result.ok?

          say t("team.invited", email: result.value.email)
          redirect "/settings#team"
        end
        app.allow :director, post: "/invitations/:id/withdraw" do
          invitation = find(studio.invitations)
          invitation.withdraw(Shared::Clock.now)
          say t("team.withdrawn", email: invitation.email)
          redirect "/settings#team"
        end
        app.allow :director, post: "/memberships/:id", takes: { role: :text, was: :text } do
          result = Actions::ChangeRole.new(find(studio.memberships), params).run
          say(result.ok? ? t("team.changed") : result.errors[:base])
          redirect "/settings#team"
        end
        app.allow(:director, get: "/outbox") { page "studio/outbox", Pages::Outbox.new(studio) }
        app.allow :director, get: "/outbox/:id.eml" do
          path = File.join(Settings.files_dir, "outbox", "#{find(studio.mails).id}.eml")
          File.file?(path) ? send_file(path, type: "message/rfc822", disposition: "attachment") : halt(404)
        end
      end
    end
  end
end
