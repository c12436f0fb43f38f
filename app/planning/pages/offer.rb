# frozen_string_literal: true

module App
  module Planning
    module Pages
      # Root of the pages that show what the worker works out when asked: the newest of its kind, or how far it is.
      class Offer < Reading::PiecePage
        # {kind of offer => where it is shown, under the plan}.
        PATHS = { "what_if" => "what-if", "replanning" => "again", "schools" => "schools" }.freeze

        def self.path_of(kind) = PATHS.fetch(kind)

        def screen = :plan
        def offer = @offer ||= piece.plan_offers.where(kind: self.class::KIND).order(:id).last
        def under_way? = !offer.nil? && offer.under_way?(Shared::Clock.now)
        def shown? = !offer.nil? && offer.done?

        # Whether something changed since it was worked out.
        def stale? = shown? && !offer.fresh?

        # What lets the next days change too, in words; nil where nothing of them is told.
        def fixed_days
          days = piece.studio.setting("fixed_days")
          I18n.t("plans.fixed_days", count: days) if days.positive? && piece.published_plan
        end

        def ask_path = path("/plan/#{self.class::PATH}")
        def take_path = path("/plan/offers/#{offer.id}/take")

        private

        def facts = offer.facts
        def date(text) = text && Date.iso8601(text)
      end
    end
  end
end
