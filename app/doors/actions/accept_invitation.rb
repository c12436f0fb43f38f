# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Turns an invitation into a place in the studio; an account with this address joins with its own password.
      class AcceptInvitation
        def initialize(token, name, password, throttle)
          @token = token
          @invitation = Records::Invitation.by_token(token)
          @name = name
          @password = password.to_s
          @throttle = throttle
          @now = throttle.now
        end

        def run
          return Shared::Result.no({ password: I18n.t("sign_in.locked") }) if known && crowded?
          return Shared::Result.ok(place) if just_done?
          return Shared::Result.no({ base: I18n.t("sign_in.link_used") }) unless @invitation&.open?(@now)

          account = known || Records::Account.new(email: @invitation.email, name: @name, password: @password)
          if known && !known.authenticate(@password)
            return Shared::Result.no({ password: I18n.t("sign_in.known_password") })
          end
          unless account.persisted? || account.save
            return Shared::Result.no(account.errors.to_hash.transform_values(&:first))
          end

          @throttle.forget(account.email)
          @invitation.studio.alone(:team) { join(account) }
        end

        private

        # A password of an account that is there is compared here too; the link was mailed to its owner, and has tries
        # of its own, so that nobody else's lock it.
        def crowded? = @throttle.link_full?(@token)

        # The same form sent twice: whoever accepted a moment ago is in.
        def just_done?
          @invitation&.accepted_at&.between?(@now - 60, @now) && place && known.authenticate(@password)
        end

        def place = known && @invitation.studio.memberships.find_by(account: known)

        def known = @known ||= @invitation && Records::Account.find_by(email: @invitation.email)

        # Looked at again alone: the invitation serves once, and takes the last director's role from nobody.
        def join(account)
          return Shared::Result.no({ base: I18n.t("sign_in.link_used") }) unless @invitation.reload.open?(@now)

          place = @invitation.studio.memberships.find_or_initialize_by(account:)
          if place.persisted? && place.last_director? && @invitation.role != "director"
            return Shared::Result.no({ base: I18n.t("sign_in.last_director") })
          end

          @invitation.update!(accepted_at: @now)
          place.update!(role: @invitation.role, person: @invitation.person)
          Shared::Result.ok(place)
        end
      end
    end
  end
end
