# frozen_string_literal: true

module App
  module Planning
    # The rehearsal plan of a piece: made, compared, changed by hand, told.
    module Routes
      def self.registered(app)
        making(app)
        telling(app)
        comparing(app)
        searching(app)
        moving(app)
      end

      def self.making(app)
        app.allow(:member, get: "/pieces/:piece/plan") { page "planning/show", piece_page(Pages::Show) }
        app.allow :director, post: "/pieces/:piece/plan" do
          permit Piece::Policy, piece, :direct?
          once do
            plan = Actions::Begin.new(piece, account, local_now, school: params["school"]).run
            say t(plan.result["unplaced"].any? ? "plans.short" : "plans.made")
            "/pieces/#{piece.id}/plan"
          end
        end
        app.allow :director, post: "/pieces/:piece/plan/wishes" do
          permit Piece::Policy, piece, :direct?
          result = Actions::SaveWishes.new(piece, params).run
          say(result.ok? ? t("plans.wishes_saved") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/plan"
        end
      end

      def self.telling(app)
        app.allow(:member, get: "/pieces/:piece/plan/told") { page "planning/told", piece_page(Pages::Told) }
        app.allow :member, get: "/pieces/:piece/plan/told/:id" do
          version = find(piece.plans.where.not(published_at: nil))
          page "planning/told_version", piece_page(Pages::Told, version:)
        end
        app.allow :director, post: "/pieces/:piece/plans/:id/publish" do
          permit Piece::Policy, piece, :direct?
          result = Actions::Publish.new(find(piece.plans), Shared::Clock.now).run
          say(result.ok? ? t("plans.published", count: result.value.size) : result.errors[:base])
          redirect "/pieces/#{piece.id}/plan"
        end
      end

      def self.comparing(app)
        app.allow(:director, get: "/pieces/:piece/plan/schools") { page "planning/schools", piece_page(Pages::Schools) }
        app.allow(:director, get: "/pieces/:piece/plan/what-if") do
          page "planning/what_if", piece_page(Pages::WhatIf, asked: params)
        end
        app.allow :director, post: "/pieces/:piece/plan/what-if" do
          permit Piece::Policy, piece, :direct?
          variation = Reading::WhatIfChange.new(piece, params)
          halt 404 unless variation.valid?
          way = piece_page(Pages::WhatIf, asked: params).way
          variation.accept
          Actions::Begin.new(studio.pieces.find(piece.id), account, local_now, way:).run
          say t("what_if.taken")
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow(:director, get: "/pieces/:piece/plan/again") do
          page "planning/replanning", piece_page(Pages::Replanning)
        end
        app.allow :director, post: "/pieces/:piece/plan/again" do
          permit Piece::Policy, piece, :direct?
          way = %w[repair anew].find { |each| each == params["way"] } || halt(404)
          once do
            Actions::Begin.new(piece, account, local_now, way:).run
            say t("plans.made")
            "/pieces/#{piece.id}/plan"
          end
        end
      end

      def self.searching(app)
        app.allow(:member, get: "/pieces/:piece/plans/:id/progress") { json(find(piece.plans).search) }
        app.allow :director, post: "/pieces/:piece/plans/:id/stop" do
          permit Piece::Policy, piece, :direct?
          plan = find(piece.plans)
          if %w[waiting running].include?(plan.search["state"])
            plan.update_columns(search: plan.search.merge("state" => "stopping"))
          end
          wants_json? ? json(plan.search) : redirect("/pieces/#{piece.id}/plan")
        end
      end

      def self.moving(app)
        app.allow :director, post: "/pieces/:piece/slots/:id/move" do
          permit Piece::Policy, piece, :direct?
          sent = wants_json? ? json_body : params
          slot = find(studio.slots.where(plan_id: piece.latest_plan&.id).work)
          result =
            Actions::MoveSlot.new(slot, find(studio.rehearsals.standing, sent["rehearsal"]), account, local_now).run
          next json(result.ok? ? { moved: true } : result.errors, result.ok? ? 200 : 422) if wants_json?

          say(result.ok? ? t("moves.done") : result.errors[:base])
          redirect "/pieces/#{piece.id}/plan"
        end
        app.allow :director, post: "/pieces/:piece/slots/:id/pin" do
          permit Piece::Policy, piece, :direct?
          slot = find(studio.slots.where(plan_id: piece.latest_plan&.id).work)
          slot.update!(pinned: !slot.pinned)
          wants_json? ? json({ pinned: slot.pinned }) : redirect("/pieces/#{piece.id}/plan")
        end
      end
    end
  end
end
