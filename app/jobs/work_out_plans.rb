# frozen_string_literal: true

module App
  module Jobs
    # Works out what a director asked for, outside any request: progress and the answer are kept on the offer's row. A
    # first plan is taken at once. Running it again is harmless.
    class WorkOutPlans < Long
      WORK = "plans"
      KINDS = {
        "plan" => Planning::Offers::Plan,
        "what_if" => Planning::Offers::WhatIf,
        "replanning" => Planning::Offers::Replanning,
        "schools" => Planning::Offers::Schools,
        "season" => Season::Offers::Whole
      }.freeze

      def run(studio_id, offer_id)
        offer = Records::Studio.find_by(id: studio_id)&.plan_offers&.find_by(id: offer_id)
        return unless offer&.begin_work

        note_versions(offer)
        found = KINDS.fetch(offer.kind).new(offer, offer.studio.local(Shared::Clock.now)).result
        return offer.give_up unless found

        return offer.finish(**found) unless offer.kind == "plan"

        # No page sees the search at its end and no plan yet.
        Records::PlanOffer.transaction { take(offer) if offer.finish(**found) }
      rescue StandardError
        offer&.give_up
        raise
      end

      def dropped(studio_id, offer_id)
        offers = Records::Studio.find_by(id: studio_id)&.plan_offers
        offers&.find_by(id: offer_id)&.give_up
      end

      private

      # Under what it is worked out: before anything is read.
      def note_versions(offer)
        versions = Records::Piece.joins(:studio).where(id: offer.piece_id, studio_id: offer.studio_id)
          .pick(:work_version, "studios.season_version")
        offer.update_columns(work_version: versions.first, season_version: versions.last)
      end

      # Where something changed in between, it is worked out once more.
      def take(offer)
        account = Records::Account.find_by(id: offer.account_id)
        result = Planning::Actions::TakeOffer.new(offer, Planning::Offers::Plan::WAY, account).run
        Planning::Actions::AskForPlans.new(offer.piece, account, "plan", offer.asked).run if result.value == :stale
      end
    end
  end
end
