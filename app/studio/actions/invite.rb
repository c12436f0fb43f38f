# frozen_string_literal: true

module App
  module Studio
    module Actions
      # Invites somebody by mail, as director, choreographer or assistant.
      class Invite
        def initialize(studio, params, now)
          @studio = studio
          @params = params
          @now = now
        end

        def run
          person = @studio.people.find_by(id: @params["person"]) if @params["person"].to_s.match?(/\A\d+\z/)
          expires_at = @now + (Records::Invitation::DAYS * 86_400)
          invitation, token =
            @studio.invitations.issue(email: @params["email"], role: @params["role"], person:, expires_at:)
          Shared::Post.new(@studio).send_out(
            to: invitation.email,
            template: "invitation",
            studio: @studio.name,
            role: invitation.role,
            link: "#{Settings.app_url}/invitation/#{token}"
          )
          Shared::Result.ok(invitation)
        rescue ActiveRecord::RecordInvalid => e
          Shared::Result.no(
            {
              email: e.record.errors[:email].first && I18n.t("team.bad_email"),
              role: e.record.errors[:role].first
            }.compact
          )
        end
      end
    end
  end
end
