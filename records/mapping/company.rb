# frozen_string_literal: true

module Records
  module Mapping
    # The plans of a studio's other pieces that a piece's plan lives beside.
    class Company
      def initialize(piece)
        @piece = piece
        @studio = piece.studio
      end

      # Ids of plans: of each other piece the draft that was made together with this piece's newest draft, as long as it
      # is the newest there, else what people were told. apart: ids of pieces left out.
      def plans(apart: [])
        mates = drafts
        told = @studio.plans.where(replaced_at: nil).where.not(published_at: nil).where.not(piece_id: @piece.id)
        told.where.not(piece_id: [*apart, *mates.map(&:piece_id)]).pluck(:id) +
          mates.reject { |plan| apart.include?(plan.piece_id) }.map(&:id)
      end

      # The drafts of other pieces that were made as one season with this piece's newest one: [Plan].
      def drafts
        together = @piece.latest_plan.then { |plan| plan && !plan.published? ? plan.together : nil } or return []
        @studio.plans.where(together:, published_at: nil).where.not(piece_id: @piece.id)
          .select { |plan| plan.number == @studio.plans.where(piece_id: plan.piece_id).maximum(:number) }
      end
    end
  end
end
