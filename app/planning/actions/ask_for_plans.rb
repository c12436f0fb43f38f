# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Asks the worker to work out plans of a kind (Records::PlanOffer::KINDS). Answers the offer.
      class AskForPlans
        # Days for which offers are kept.
        KEPT = 2
        WHAT_IF = Shapes::ASKED.keys.map(&:to_s).freeze

        # asked: what the form says about it.
        def initialize(piece, account, kind, asked = {})
          @piece = piece
          @account = account
          @kind = kind
          @asked = asked.to_h.slice(*WHAT_IF).transform_values(&:to_s)
        end

        def run
          @piece.plan_offers.where(created_at: ...(Shared::Clock.now - (KEPT * 86_400))).delete_all
          stop_older
          offer = @piece.plan_offers.create!(studio_id: @piece.studio_id, account_id: @account.id, kind: @kind,
                                             asked: @asked, created_at: Shared::Clock.now)
          Jobs::WorkOutPlans.ask(offer.studio_id, offer.id, whose: @piece.studio, same: "#{@piece.id} #{@kind}")
          offer
        end

        private

        # One of the kind that is being worked out ends for the newer one; one that waits is replaced in its turn.
        def stop_older = @piece.plan_offers.where(kind: @kind, state: "running").find_each(&:stop)
      end
    end
  end
end
