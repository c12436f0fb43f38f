# frozen_string_literal: true

module App
  module Steps
    module Actions
      # A studio's own word for a step, built from a known one.
      class AddOwnStep
        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        # One at a time in a studio: two people adding the same word are told, not shown an error.
        def run = @studio.alone(:words) { add }

        private

        def add
          step =
            Records::OwnStep.new(
              studio: @studio,
              name: @params["name"],
              like: Core::Movement::Vocabulary::DEFAULT.find(@params["like"].to_s)&.name,
              counts: @params["counts"].presence
            )
          if @studio.own_steps.where("lower(name) = ?", step.name.to_s.downcase).exists?
            return Shared::Result.no({ name: I18n.t("names.taken") })
          end
          return Shared::Result.ok(step) if step.save

          Shared::Result.no(
            {
              name: (I18n.t("names.name") if step.errors[:name].any?),
              like: (I18n.t("names.like") if step.errors[:like].any?),
              counts: (I18n.t("names.counts") if step.errors[:counts].any?)
            }.compact
          )
        end
      end
    end
  end
end
