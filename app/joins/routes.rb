# frozen_string_literal: true

module App
  module Joins
    # Joins: all of them, one face to face, mends, agreement, whose it is; the opening and the ending.
    module Routes
      def self.registered(app)
        showing(app)
        mending(app)
        settling(app)
        facts(app)
        ends(app)
      end

      def self.showing(app)
        app.allow(:member, get: "/pieces/:piece/joins") { page "joins/index", piece_page(Pages::Index) }
        app.allow :member, get: "/pieces/:piece/joins/:index" do
          page "joins/show", found_page(Pages::Show, index: number(params["index"]))
        end
        app.allow :member, get: "/pieces/:piece/joins/:index/sheet.pdf", takes: { paper: :text } do
          shown = found_page(Pages::JoinPaper, index: number(params["index"]))
          send_paper(shown.paper, piece.title, shown.join.name)
        end
      end

      def self.wanted(params) = { state: params["state"], here_only: params["here"] == "1" }

      def self.mending(app)
        app.allow :member, get: "/pieces/:piece/joins/:index/mend", takes: Shapes::MEND do
          page "joins/mend",
               found_page(
                 Pages::Mend,
                 index: number(params["index"]),
                 number: number(params["n"]),
                 **Routes.wanted(params)
               )
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/joins/:index/mend", takes: Shapes::MEND do
          shown =
            found_page(
              Pages::Mend,
              index: number(params["index"]),
              number: number(params["n"]),
              **Routes.wanted(params)
            )
          permit Steps::Policy, piece.sections.find(shown.order.links[shown.mend.link - 1].section.id), :edit?
          result = Actions::Mend.new(piece, shown, params, account, today).run
          say(result.ok? ? t("mends.done", text: shown.text) : result.errors[:base], undo: result.value)
          redirect "/pieces/#{piece.id}/joins/#{shown.index}"
        end
      end

      def self.settling(app)
        app.allow :member, post: "/pieces/:piece/joins/:index/agree", takes: Shapes::AGREEMENT do
          permit Piece::Policy, piece, :tick?
          shown = found_page(Pages::Show, index: number(params["index"]))
          result = Actions::Agree.new(piece, shown.standing, params, account, today).run
          unless result.ok?
            next page(
              "joins/show",
              piece_page(Pages::Show, index: shown.index, errors: result.errors, typed: params),
              status: 422
            )
          end

          say t(params["withdraw"] ? "joins.taken_back" : "joins.agreed", count: result.value)
          redirect "/pieces/#{piece.id}/joins/#{shown.index}"
        end
      end

      # What all joins are checked for, and whose one is.
      def self.facts(app)
        app.allow :director, post: "/pieces/:piece/joins/checking", takes: Shapes::CHECKING do
          permit Piece::Policy, piece, :direct?
          result = Actions::SaveChecking.new(piece, params).run
          next page("joins/index", piece_page(Pages::Index, checking: result.value), status: 409) unless result.ok?

          say t("joins.checking.saved")
          redirect "/pieces/#{piece.id}/joins#checking"
        end
        app.allow :director, post: "/pieces/:piece/joins/:index/owner", takes: Shapes::FACTS do
          permit Piece::Policy, piece, :direct?
          shown = found_page(Pages::Show, index: number(params["index"]))
          result = Actions::SaveFacts.new(piece, shown.join, params).run
          unless result.ok?
            again = piece_page(Pages::Show, index: shown.index, errors: result.errors, facts: result.value)
            next page("joins/show", again, status: 409)
          end

          say t("joins.facts_saved")
          redirect "/pieces/#{piece.id}/joins/#{shown.index}"
        end
      end

      def self.ends(app)
        app.allow :director, post: "/pieces/:piece/ends/:which", takes: Shapes::ENDS do
          permit Piece::Policy, piece, :direct?
          which = %w[opening ending].find { |each| each == params["which"] } || halt(404)
          result = Actions::SaveEnds.new(piece, which, params).run
          unless result.ok?
            shown = piece_page(Pages::Index, errors: result.errors, ends: { which => result.value })
            next page("joins/index", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          say t("joins.ends_saved")
          redirect "/pieces/#{piece.id}/joins##{which}"
        end
      end
    end
  end
end
