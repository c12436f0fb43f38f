# frozen_string_literal: true

module App
  module Files
    # What goes out as files, and what comes in.
    module Routes
      # What came: pasted, or the text of a file.
      module Sent
        def sent_text
          file = params["file"]
          file.is_a?(Hash) && file[:tempfile]&.size&.positive? ? file[:tempfile].read : params["text"].to_s
        end
      end

      def self.registered(app)
        app.helpers Sent
        app.allow(:member, get: "/files") { page "files/studio", Pages::Studio.new(member) }
        app.allow(:member, get: "/pieces/:piece/files") { page "files/piece", piece_page(Pages::Piece) }
        app.allow :member, get: "/pieces/:piece/files/tables/:table.:ending" do
          table = Tables::OF_PIECE[params["table"]] || halt(404)
          send_table(table.new(piece, today), params["ending"], piece.title)
        end
        app.allow :director, :assistant, get: "/files/tables/:table.:ending" do
          table = Tables::OF_STUDIO[params["table"]] || halt(404)
          send_table(table.new(studio, today), params["ending"], studio.name)
        end
        app.allow :member, get: "/pieces/:piece/files/spine.:ending" do
          send_picture(piece_page(Pages::Piece).spine.svg, params["ending"], piece.title, "spine")
        end
        pieces(app)
        copies(app)
      end

      # A piece once more, for another season.
      def self.copies(app)
        app.allow :director, post: "/pieces/:piece/copy", takes: { title: :text, show_date: :text } do
          permit Piece::Policy, piece, :direct?
          result = Actions::CopyPiece.new(member, piece, params).run
          unless result.ok?
            shown = piece_page(Pages::Piece, errors: result.errors, typed: params)
            next page("files/piece", shown, status: 422)
          end

          say t("pieces.copied", title: result.value.title)
          redirect "/pieces/#{result.value.id}"
        end
      end

      # A piece as a file, out and in: what it would become is shown before anything is made.
      def self.pieces(app)
        app.allow :member, get: "/pieces/:piece/files/piece.json" do
          permit Piece::Policy, piece, :see?
          beside
          content_type :json
          attachment Shared::TableFile.name([piece.title], "json")
          Formats::PieceFile.render(Reading::PieceContent.new(piece).content)
        end
        app.allow(:director, get: "/files/piece") { page "files/take_piece", Pages::TakePiece.new(studio) }
        app.allow :director, post: "/files/piece/preview", takes: { file: :upload, text: :text } do
          shown = Pages::TakePiece.new(studio, text: sent_text)
          page "files/take_piece", shown, status: shown.ok? ? 200 : 422
        end
        app.allow :director, post: "/files/piece", takes: { text: :text } do
          shown = Pages::TakePiece.new(studio, text: params["text"].to_s)
          next page("files/take_piece", shown, status: 422) unless shown.ok?

          result = Actions::TakePiece.new(member, shown.content).run
          unless result.ok?
            shown = Pages::TakePiece.new(studio, text: params["text"].to_s, error: result.errors[:file])
            next page("files/take_piece", shown, status: 422)
          end

          say t("files.piece_taken", title: result.value.title)
          redirect "/pieces/#{result.value.id}"
        end
      end
    end
  end
end
