# frozen_string_literal: true

module App
  module Steps
    # What steps are called: the studio's own words, and the names in one piece.
    module WordRoutes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/names") { page "steps/names", piece_page(Pages::Names) }
        app.allow :director, :choreographer, post: "/pieces/:piece/names", takes: Shapes::WORD do
          result = Actions::AddOwnStep.new(member, params).run
          unless result.ok?
            next page("steps/names", piece_page(Pages::Names, typed: params, errors: result.errors), status: 422)
          end

          word = result.value
          say t(word.proposed? ? "names.proposed" : "names.added", name: word.name, like: word.like)
          redirect "/pieces/#{piece.id}/names"
        end
        deciding(app)
      end

      # A proposed word is taken in; a word is taken out.
      def self.deciding(app)
        app.allow :director, post: "/pieces/:piece/names/:id/accept" do
          word = find(studio.own_steps)
          permit WordPolicy, word, :accept?
          word.update!(proposed_at: nil)
          say t("names.added", name: word.name, like: word.like)
          redirect "/pieces/#{piece.id}/names"
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/names/:id/delete" do
          word = find(studio.own_steps)
          if may?(WordPolicy, word, :remove?)
            word.destroy!
            say t("names.gone", name: word.name)
          else
            say t("names.directors", name: word.name)
          end
          redirect "/pieces/#{piece.id}/names"
        end
      end
    end
  end
end
