# frozen_string_literal: true

module App
  module Season
    module Actions
      # Asks the worker for one plan of several pieces. Value: the offer.
      class PlanTogether
        # given: {piece's id as text => its place in the order, or nothing where it is left as it is}.
        def initialize(studio, account, given)
          @studio = studio
          @account = account
          @given = given.to_h
        end

        def run
          pieces = chosen
          return Shared::Result.no({ base: I18n.t("season.two") }) if pieces.size < 2

          asked = { "pieces" => pieces.map(&:id).join(" ") }
          offer = pieces.first.plan_offers.create!(
            studio_id: @studio.id, account_id: @account.id, kind: "season", asked:, created_at: Shared::Clock.now
          )
          Jobs::WorkOutPlans.ask(@studio.id, offer.id, whose: @studio, same: "season")
          Shared::Result.ok(offer)
        end

        private

        # In the order that was said; where it says the same, the earlier show first.
        def chosen
          order = @given.filter_map { |id, place| [id.to_i, place.to_i] if place.to_s.match?(/\A[1-9]\d?\z/) }.to_h
          pieces = @studio.pieces.running.where(id: order.keys).to_a
          pieces.sort_by { |piece| [order.fetch(piece.id), piece.show_date || Date.new(9999), piece.id] }
        end
      end
    end
  end
end
