# frozen_string_literal: true

module App
  module Piece
    # Two ways to share a piece out among teachers; a cut can be moved before one is taken.
    module SharingRoutes
      def self.registered(app)
        app.allow(:director, get: "/pieces/:piece/sharing", takes: Shapes::SHARING) do
          page "piece/sharing", piece_page(Pages::Sharing, asked: params)
        end
        app.allow :director, post: "/pieces/:piece/sharing", takes: { taught: :table, was: :text } do
          permit Policy, piece, :direct?
          result = Actions::TakeSharing.new(piece, params, account).run
          say(result.ok? ? t("sharing.taken", count: result.value) : result.errors.values.first)
          redirect(result.ok? ? "/pieces/#{piece.id}" : "/pieces/#{piece.id}/sharing")
        end
      end
    end
  end
end
