# frozen_string_literal: true

module App
  module Doors
    module Pages
      # The places where somebody is signed in, the one they look from first.
      class SignedIn
        def initialize(account, here, now)
          @account = account
          @here = here
          @now = now
        end

        def title = I18n.t("sign_in.places")
        def places = [@here, *(@account.sign_ins.live(@now).order(last_seen_at: :desc).to_a - [@here])]
        def here?(place) = place == @here
        def device(place) = I18n.t("sign_in.devices.#{place.device}")
        def since(place) = Shared::Dates.day(place.created_at.to_date)

        # Written down every ten minutes at the most.
        def seen(place)
          minutes = ((@now - place.last_seen_at) / 60).to_i
          return I18n.t("sign_in.seen_now") if minutes < 15
          return I18n.t("sign_in.seen_minutes", count: minutes) if minutes < 90
          return I18n.t("sign_in.seen_hours", count: minutes / 60) if minutes < 36 * 60

          I18n.t("sign_in.seen_days", count: minutes / (24 * 60))
        end
      end
    end
  end
end
