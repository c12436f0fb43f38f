# frozen_string_literal: true

module App
  module Planning
    module Offers
      # Root of what works out an offer: in steps, with progress after each, and an ear for whoever asks to stop.
      class Solving
        Solver = Core::Planning::Solver
        private_constant :Solver

        # offer: Records::PlanOffer; now: the studio's local time.
        def initialize(offer, now)
          @offer = offer
          @piece = offer.piece
          @now = now
        end

        # {facts:, plans:} of the offer, or nil where somebody stopped it.
        def result
          steps = self.steps
          worked = []
          steps.each_with_index do |step, i|
            return nil if @offer.stopping?

            worked << step.call
            @offer.note((i + 1).fdiv(steps.size))
          end
          answer(worked)
        end

        private

        def draft = @draft ||= Reading::PlanDraft.new(@piece, @now, soon: @offer.soon?)

        # The plan by a way ("repair", "anew", nil), with what would make it fit where it does not.
        def made(way, draft)
          maker = Actions::Make.new(@piece, nil, @now, way:, draft:)
          PlanForOffer.new(draft, maker.repaired(maker.solve))
        end
      end
    end
  end
end
