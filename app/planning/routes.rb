# frozen_string_literal: true

module App
  module Planning
    # The rehearsal plan of a piece: made, compared, changed by hand, told.
    module Routes
      # A change that nothing can be made of, beside what was typed.
      module Unread
        def unread(change)
          halt 404 if change.instance_of?(Changes::Change)
          page "planning/what_if", piece_page(Pages::WhatIf, typed: params, fault: change.unread), status: 422
        end
      end

      def self.registered(app)
        app.helpers Unread
        making(app)
        telling(app)
        comparing(app)
        searching(app)
        moving(app)
      end

      def self.making(app)
        app.allow(:member, get: "/pieces/:piece/plan") { page "planning/show", piece_page(Pages::Show) }
        app.allow :member, get: "/pieces/:piece/plan/build.:ending", takes: { paper: :text } do
          shown = piece_page(Pages::BuildPaper)
          next send_paper(shown.paper, piece.title, "build") if params["ending"] == "pdf"

          send_picture(shown.drawing, params["ending"], piece.title, "build")
        end
        app.allow :director, post: "/pieces/:piece/plan", takes: Shapes::ASKED do
          permit Piece::Policy, piece, :direct?
          Actions::AskForPlans.new(piece, account, "plan", params).run
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow :director, post: "/pieces/:piece/plan/wishes", takes: Shapes::WISHES do
          permit Piece::Policy, piece, :direct?
          result = Actions::SaveWishes.new(piece, params).run
          unless result.ok?
            shown = piece_page(Pages::Show, wishes: result.value, fault: result.errors[:base])
            next page("planning/show", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          say t("plans.wishes_saved")
          redirect "/pieces/#{piece.id}/plan"
        end
      end

      def self.telling(app)
        app.allow :member, get: "/pieces/:piece/plan/told" do
          page "planning/published_plans", piece_page(Pages::PublishedPlans)
        end
        app.allow :member, get: "/pieces/:piece/plan/told/:id" do
          version = find(piece.plans.where.not(published_at: nil))
          page "planning/published_plan", piece_page(Pages::PublishedPlans, version:)
        end
        app.allow :director, post: "/pieces/:piece/plans/:id/publish", takes: { homes: :whole } do
          permit Piece::Policy, piece, :direct?
          result = Actions::Publish.new(find(piece.plans), Shared::Clock.now, homes: params["homes"].to_i).run
          say(result.ok? ? t("plans.published", count: result.value.size) : result.errors[:base])
          redirect "/pieces/#{piece.id}/plan"
        end
      end

      # What is worked out by the worker before one of it is taken: asked for, shown with its progress, stopped, taken.
      def self.comparing(app)
        { "what_if" => Pages::WhatIf, "replanning" => Pages::Replanning,
          "schools" => Pages::Schools }.each do |kind, page|
          path = "/pieces/:piece/plan/#{page::PATH}"
          app.allow(:director, get: path) { page "planning/#{kind}", piece_page(page) }
          app.allow :director, post: path, takes: Shapes::ASKED do
            permit Piece::Policy, piece, :direct?
            if kind == "what_if"
              change = Changes.of(piece, params)
              next unread(change) unless change.valid?
            end
            Actions::AskForPlans.new(piece, account, kind, params).run
            redirect "/pieces/#{piece.id}/plan/#{page::PATH}"
          end
        end
        taking(app)
      end

      def self.taking(app)
        app.allow(:director, get: "/pieces/:piece/plan/offers/:id/progress") do
          offer = find(piece.plan_offers)
          json({ state: offer.state, share: offer.share, place: Jobs::WorkOutPlans.place(studio.id, offer.id) })
        end
        app.allow :director, post: "/pieces/:piece/plan/offers/:id/stop" do
          permit Piece::Policy, piece, :direct?
          find(piece.plan_offers).stop
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow :director, post: "/pieces/:piece/plan/offers/:id/keep" do
          permit Piece::Policy, piece, :direct?
          find(piece.plan_offers).decline
          say t("plans.better.kept")
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow :director, post: "/pieces/:piece/plan/offers/:id/take", takes: { way: :text } do
          permit Piece::Policy, piece, :direct?
          offer = find(piece.plan_offers.where.not(kind: "season"))
          result = Actions::TakeOffer.new(offer, params["way"].to_s, account).run
          say(result.ok? ? t("offers.taken.#{offer.kind}") : result.errors[:base])
          asked = result.value == :stale && Pages::Offer::PATHS.key?(offer.kind)
          again = Actions::AskForPlans.new(piece, account, offer.kind, offer.asked) if asked
          again&.run
          redirect "/pieces/#{piece.id}/plan#{"/#{Pages::Offer.path_of(offer.kind)}" if again}"
        end
      end

      def self.searching(app)
        app.allow(:member, get: "/pieces/:piece/plans/:id/progress") do
          plan = find(piece.plans)
          json({ **plan.search, place: Jobs::ImprovePlan.place(studio.id, plan.id) })
        end
        app.allow :director, post: "/pieces/:piece/plans/:id/stop" do
          permit Piece::Policy, piece, :direct?
          plan = find(piece.plans)
          plan.search_stops
          wants_json? ? json(plan.search) : redirect("/pieces/#{piece.id}/plan")
        end
      end

      def self.moving(app)
        app.allow :director, post: "/pieces/:piece/slots/:id/move", takes: { rehearsal: :whole } do
          permit Piece::Policy, piece, :direct?
          slot = find(studio.slots.where(plan_id: piece.latest_plan&.id).work)
          result =
            Actions::MoveSlot.new(slot, find(studio.rehearsals.standing, params["rehearsal"]), account, local_now).run
          next json(result.ok? ? { moved: true } : result.errors, result.ok? ? 200 : 422) if wants_json?

          say(result.ok? ? t("moves.done") : result.errors[:base])
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow :director, post: "/pieces/:piece/slots/:id/pin", takes: { to: :text } do
          permit Piece::Policy, piece, :direct?
          slot = find(studio.slots.where(plan_id: piece.latest_plan&.id).work)
          slot.update!(pinned: wanted?)
          wants_json? ? json({ pinned: slot.pinned }) : redirect("/pieces/#{piece.id}/plan")
        end
      end
    end
  end
end
