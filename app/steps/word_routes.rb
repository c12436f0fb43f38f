# frozen_string_literal: true

module App
  module Steps
    # What steps are called: the studio's own words, and the names in one piece.
    module WordRoutes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/names") { page "steps/names", piece_page(Pages::Names) }
        app.allow :director, :choreographer, post: "/pieces/:piece/names", takes: Shapes::WORD do
          result = Actions::AddOwnStep.new(studio, params).run
          unless result.ok?
            next page("steps/names", piece_page(Pages::Names, typed: params, errors: result.errors), status: 422)
          end

          say t("names.added", name: result.value.name, like: result.value.like)
          redirect "/pieces/#{piece.id}/names"
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/names/:id/delete" do
          step = find(studio.own_steps)
          step.destroy!
          say t("names.gone", name: step.name)
          redirect "/pieces/#{piece.id}/names"
        end
      end
    end
  end
end
