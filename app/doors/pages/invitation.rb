# frozen_string_literal: true

module App
  module Doors
    module Pages
      # What an invited person sees.
      class Invitation
        attr_reader :token, :errors, :name

        def initialize(token, now, name: "", errors: {})
          @token = token
          @invitation = Records::Invitation.by_token(token)
          @now = now
          @name = name.to_s
          @errors = errors
        end

        def title = I18n.t("sign_in.invitation")
        def open? = !!@invitation&.open?(@now)
        def studio = @invitation.studio.name
        def role = I18n.t("roles.#{@invitation.role}")
        def email = @invitation.email
        def known? = Records::Account.exists?(email:)
      end
    end
  end
end
