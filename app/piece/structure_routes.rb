# frozen_string_literal: true

module App
  module Piece
    # A piece's structure as lines, and its links by hand.
    module StructureRoutes
      def self.registered(app)
        lines(app)
        links(app)
      end

      def self.lines(app)
        app.allow(:director, get: "/pieces/:piece/structure") { page "piece/structure", piece_page(Pages::Structure) }
        app.allow :director, post: "/pieces/:piece/structure", takes: Shapes::LINES do
          permit Policy, piece, :direct?
          result = Actions::SaveStructure.new(piece, params, account).run
          unless result.ok?
            next page(
              "piece/structure",
              piece_page(Pages::Structure, typed: params, result:),
              status: result.value == :conflict ? 409 : 422
            )
          end

          say t("structure.saved"), undo: result.value, saved: request.path_info
          redirect "/pieces/#{piece.id}"
        end
        app.allow :director, post: "/pieces/:piece/revisions/:number/restore" do
          permit Policy, piece, :direct?
          revision = piece.revisions.find_by(number: number(params["number"])) || halt(404)
          Actions::RestoreRevision.new(revision, account).run
          say t("structure.restored", number: revision.number)
          redirect "/pieces/#{piece.id}"
        end
      end

      def self.links(app)
        app.allow :director, post: "/pieces/:piece/links", takes: { section: :text } do
          permit Policy, piece, :direct?
          undo = Actions::ArrangeLinks.new(piece, account).add(find(piece.sections, params["section"]))
          say(t("structure.placed"), undo:)
          redirect "/pieces/#{piece.id}#order"
        end
        app.allow :director, post: "/pieces/:piece/links/:id/:step" do
          permit Policy, piece, :direct?
          step = %w[earlier later mirror remove].find { |known| known == params["step"] } || halt(404)
          undo = Actions::ArrangeLinks.new(piece, account).public_send(step, find(piece.links))
          say(t("structure.#{step}"), undo:)
          redirect "/pieces/#{piece.id}#order"
        end
      end
    end
  end
end
