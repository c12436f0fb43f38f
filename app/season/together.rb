# frozen_string_literal: true

module App
  module Season
    # Pieces planned together, and the drafts that were made so.
    module Together
      module_function

      # Pieces by the words of a form ("8 3"), in that order: those that run and have something to plan.
      def pieces(studio, words)
        ids = words.to_s.scan(/\d{1,18}/).map(&:to_i).uniq
        studio.pieces.running.where(id: ids).to_a.sort_by { |piece| ids.index(piece.id) }
      end

      # Drafts that were made as one season and wait to be told: {offer's id => [Records::Plan]}, the newest last.
      def drafts(studio)
        newest = studio.plans.where(published_at: nil).where.not(together: nil).includes(:piece).order(:together, :id)
        newest.select { |plan| !plan.piece.archived? && plan.id == plan.piece.latest_plan.id }.group_by(&:together)
      end

      # {piece's id as text => under which version it stands}.
      def versions(pieces) = pieces.to_h { |piece| [piece.id.to_s, piece.work_version] }
    end
  end
end
