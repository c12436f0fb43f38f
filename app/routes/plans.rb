# frozen_string_literal: true

module App
  module Routes
    # The rehearsal plan of a piece.
    module Plans
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/plan") { page :plan, piece_page(Pages::Plan) }
        app.allow :director, post: "/pieces/:piece/plan" do
          permit Policies::Piece, piece, :direct?
          once do
            plan = Actions::MakePlan.new(piece, account, local_now).run
            say t(plan.result["unplaced"].any? ? "plans.short" : "plans.made")
            "/pieces/#{piece.id}/plan"
          end
        end
        app.allow :director, post: "/pieces/:piece/plans/:id/publish" do
          permit Policies::Piece, piece, :direct?
          Actions::PublishPlan.new(find(piece.plans), Clock.now).run
          say t("plans.published")
          redirect "/pieces/#{piece.id}/plan"
        end
      end
    end
  end
end
