# frozen_string_literal: true

module App
  module Runs
    # Runs: where it goes wrong, one run, and what is drilled because of it.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/runs") { page "runs/index", piece_page(Pages::Index) }
        app.allow :member, get: "/pieces/:piece/runs/:id" do
          page "runs/show", piece_page(Pages::Show, run: find(piece.runs.standing))
        end
        app.allow :member, post: "/pieces/:piece/runs/:id/take-back" do
          permit Piece::Policy, piece, :tick?
          Actions::TakeBackRun.new(find(piece.runs.standing), member, local_now).run
          say t("runs.taken_back")
          redirect "/pieces/#{piece.id}/runs"
        end
        troubles(app)
        drills(app)
      end

      def self.troubles(app)
        app.allow :member, post: "/pieces/:piece/runs/troubles/:id", takes: Shapes::TROUBLE do
          permit Piece::Policy, piece, :tick?
          trouble = find(piece.troubles.standing)
          words = TroubleForm.words(piece, params)
          Actions::SayTrouble.new(trouble, words).run
          Actions::WriteDanced.new(trouble.run, member, local_now).run
          redirect "/pieces/#{piece.id}/runs/#{trouble.run_id}#trouble-#{trouble.id}"
        end
        app.allow :member, post: "/pieces/:piece/runs/troubles/:id/settle", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          trouble = find(piece.troubles.standing)
          trouble.settle(wanted?, account.name, Shared::Clock.now)
          say t(wanted? ? "runs.settled" : "runs.unsettled"),
              undo: ("/pieces/#{piece.id}/runs/troubles/#{trouble.id}/settle?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/runs/#{trouble.run_id}"
        end
        app.allow :member, post: "/pieces/:piece/runs/troubles/:id/take-back", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          trouble = find(piece.troubles)
          trouble.update!(taken_back_at: (Shared::Clock.now if wanted?))
          Actions::WriteDanced.new(trouble.run, member, local_now).run
          say t(wanted? ? "runs.trouble_gone" : "runs.trouble_back"),
              undo: ("/pieces/#{piece.id}/runs/troubles/#{trouble.id}/take-back?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/runs/#{trouble.run_id}"
        end
      end

      def self.drills(app)
        app.allow :member, post: "/pieces/:piece/runs/drills", takes: Shapes::DRILL do
          permit Piece::Policy, piece, :tick?
          result = Actions::WantDrill.new(piece, account, params, local_now).run
          say(result.ok? ? result.value : result.errors.values.first)
          redirect "/pieces/#{piece.id}/runs#drills"
        end
        app.allow :member, post: "/pieces/:piece/runs/drills/:id/rehearse" do
          permit Piece::Policy, piece, :tick?
          drill = find(piece.drills.open)
          say Actions::RehearseDrill.new(drill, local_now).run.value
          redirect "/pieces/#{piece.id}/runs#drills"
        end
        ending_drills(app)
      end

      # A drill that is done with, or given up.
      def self.ending_drills(app)
        app.allow :member, post: "/pieces/:piece/runs/drills/:id/done", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          drill = find(piece.drills)
          drill.finish(wanted?, Shared::Clock.now)
          say t(wanted? ? "runs.drilled" : "runs.not_drilled"),
              undo: ("/pieces/#{piece.id}/runs/drills/#{drill.id}/done?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/runs#drills"
        end
        app.allow :member, post: "/pieces/:piece/runs/drills/:id/drop", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          drill = find(piece.drills)
          Actions::DropDrill.new(drill, local_now).run(wanted?)
          say t(wanted? ? "runs.dropped" : "runs.picked_up"),
              undo: ("/pieces/#{piece.id}/runs/drills/#{drill.id}/drop?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/runs#drills"
        end
      end
    end
  end
end
