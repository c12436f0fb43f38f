# frozen_string_literal: true

module App
  module Learning
    # What stands beside the grid: ready to run, coverage, catch-up, understudies, what waits to be signed off, the next
    # best half hour.
    module PanelRoutes
      def self.registered(app)
        app.allow :member, get: "/pieces/:piece/who-has-it/coverage" do
          page "learning/coverage", piece_page(Pages::Coverage)
        end
        app.allow :member, get: "/pieces/:piece/who-has-it/catch-up", takes: { person: :text } do
          page "learning/catch_up", piece_page(Pages::CatchUp, person: params["person"])
        end
        app.allow :member, get: "/pieces/:piece/who-has-it/next", takes: Shapes::NEXT do
          asked = { minutes: params["minutes"], room: params["room"], rehearsal: params["rehearsal"] }
          page "learning/next_best", piece_page(Pages::NextBest, **asked)
        end
        ready(app)
        understudies(app)
        sign_offs(app)
        reviews(app)
        hand_overs(app)
      end

      def self.ready(app)
        app.allow :member, get: "/pieces/:piece/who-has-it/ready", takes: { kind: :text } do
          page "learning/ready", piece_page(Pages::Ready, kind: params["kind"])
        end
        app.allow :director, post: "/pieces/:piece/who-has-it/ready", takes: Shapes::OVERRULE do
          permit Piece::Policy, piece, :direct?
          result = Actions::Overrule.new(piece, account, params, today).run
          say(result.ok? ? t("ready.overruled") : result.errors.values.first)
          kind = result.ok? ? "?kind=#{result.value.kind}" : ""
          redirect "/pieces/#{piece.id}/who-has-it/ready#{kind}"
        end
      end

      def self.understudies(app)
        app.allow :member, get: "/pieces/:piece/who-has-it/understudies" do
          page "learning/understudies", piece_page(Pages::Understudies)
        end
        app.allow :member, post: "/pieces/:piece/understudies", takes: Shapes::UNDERSTUDY do
          permit Piece::Policy, piece, :tick?
          result = Actions::NameUnderstudy.new(piece, params).run
          say(result.ok? ? t("understudies.named") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/who-has-it/understudies"
        end
        app.allow :member, post: "/pieces/:piece/understudies/:id/end" do
          permit Piece::Policy, piece, :tick?
          find(piece.understudies).destroy!
          say t("understudies.ended")
          redirect "/pieces/#{piece.id}/who-has-it/understudies"
        end
      end

      def self.sign_offs(app)
        app.allow :member, get: "/pieces/:piece/who-has-it/sign-offs" do
          page "learning/sign_offs", piece_page(Pages::SignOffs)
        end
        app.allow :member, post: "/pieces/:piece/who-has-it/sign-offs", takes: Shapes::SIGN_OFF do
          permit Piece::Policy, piece, :tick?
          result = Actions::SignOff.new(piece, member, params, today).run
          said = params["answer"] == "not_yet" ? "not_yet" : "signed"
          say(result.ok? ? t("sign_offs.#{said}", count: result.value) : result.errors.values.first)
          redirect "/pieces/#{piece.id}/who-has-it/sign-offs"
        end
      end

      # Clips that were sent to be reviewed: for whoever signs their section off.
      def self.reviews(app)
        app.allow :member, get: "/pieces/:piece/reviews/:id" do
          clip = find(piece.uploads.reviews)
          halt 404 unless ReviewPolicy.new(member, clip, today).see?
          beside
          headers "cache-control" => "private, no-store"
          send_file(Shared::ClipFile.path(clip) || halt(404), type: clip.type, disposition: :inline)
        end
        app.allow :member, post: "/pieces/:piece/reviews/:id", takes: { answer: :text } do
          clip = find(piece.uploads.reviews)
          halt 404 unless ReviewPolicy.new(member, clip, today).see?
          result = Actions::ReviewClip.new(clip, member, params["answer"], today).run
          say(result.ok? ? t("reviews.done") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/who-has-it/sign-offs"
        end
      end

      def self.hand_overs(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/handovers", takes: Shapes::HAND_OVER do
          person = studio.people.find_by(id: number(params["person"]))
          permit HandOverPolicy, person, :give? if person
          result = Actions::HandOver.new(member, params, today).run
          say(result.ok? ? t("sign_offs.handed") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/who-has-it/sign-offs"
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/handovers/:id/end" do
          row = find(studio.hand_overs)
          permit HandOverPolicy, row.person, :give?
          row.update!(ended_at: row.ended_at || Shared::Clock.now)
          say t("sign_offs.ended")
          redirect "/pieces/#{piece.id}/who-has-it/sign-offs"
        end
      end
    end
  end
end
