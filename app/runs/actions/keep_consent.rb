# frozen_string_literal: true

module App
  module Runs
    module Actions
      # A guardian's yes to clips of somebody: whose it is and when they gave it. The paper itself is the studio's.
      class KeepConsent
        def initialize(piece, account, params, today)
          @piece = piece
          @account = account
          @params = params
          @today = today
        end

        # Value: the Records::Consent.
        def run
          person = @piece.people.find_by(id: @params["person"].to_i)
          return no("person") unless person
          return no("by") if @params["by"].to_s.strip.empty?
          return no("given_on") unless given_on && given_on <= @today

          row = Records::Consent.new(
            studio_id: @piece.studio_id, person:, by_name: @params["by"], given_on:, noted_by: @account.name,
            created_at: Shared::Clock.now
          )
          row.save ? Shared::Result.ok(row) : no("by")
        end

        private

        def no(key) = Shared::Result.no({ key.to_sym => I18n.t("clips.faults.consent_#{key}") })

        def given_on
          text = @params["given_on"].to_s
          text.empty? ? @today : Shared::Dates.parse(text)
        end
      end
    end
  end
end
