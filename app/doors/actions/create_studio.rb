# frozen_string_literal: true

module App
  module Doors
    module Actions
      # A new studio with its first director.
      class CreateStudio
        def initialize(params, throttle)
          @params = params
          @throttle = throttle
        end

        # Sent twice, the second is let into the studio that the first one made. That compares a password, and is
        # counted with the tries at signing in.
        def run
          return Shared::Result.no({ email: I18n.t("sign_in.locked") }) if @throttle.account_full?(email)

          made = made_already
          @throttle.forget(email) if made
          made ? Shared::Result.ok(made) : first_time
        end

        private

        def email = @params["email"].to_s.strip.downcase

        def made_already
          account = Records::Account.find_by(email:)
          return unless account&.authenticate(@params["password"].to_s)

          account.memberships.joins(:studio).find_by(role: "director", studios: { name: @params["studio"].to_s.strip })
        end

        def first_time
          studio =
            Records::Studio.new(
              name: @params["studio"].to_s.strip,
              time_zone: @params["time_zone"].presence || "Europe/London",
              settings: kind
            )
          account =
            Records::Account.new(email: @params["email"], name: @params["name"], password: @params["password"].to_s)
          studio.validate
          account.validate
          errors = {
            studio: studio.errors[:name].first,
            time_zone: studio.errors[:time_zone].first,
            **first_errors(account)
          }.compact
          errors.any? ? twin_or(errors) : Shared::Result.ok(create(studio, account))
        rescue ActiveRecord::RecordNotUnique, ActiveRecord::RecordInvalid
          twin_or({ email: I18n.t("sign_in.taken") })
        end

        # Sent twice at the same moment, the other one may have made it since this one looked.
        def twin_or(errors)
          made = made_already
          made ? Shared::Result.ok(made) : Shared::Result.no(errors)
        end

        # What kind of group it is, with the figures that it starts from.
        def kind
          said = @params["kind"].to_s
          figures = Core::Planning::GroupKinds.figures(said)
          figures.empty? ? {} : { "kind" => said, **figures }
        end

        def first_errors(account) = account.errors.to_hash.transform_values(&:first)

        def create(studio, account)
          Records::Studio.transaction do
            studio.save!
            account.save!
            studio.memberships.create!(account:, role: "director")
          end
        end
      end
    end
  end
end
