# frozen_string_literal: true

module App
  module Season
    # All pieces as one season: its evenings, its calendar, one plan of several pieces.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/season") { page "season/show", Pages::Show.new(member, local_now) }
        who(app)
        together(app)
        days(app)
        evenings(app)
      end

      def self.who(app)
        app.allow :director, :assistant, get: "/season/who" do
          page "season/who", Pages::Who.new(member, local_now)
        end
        app.allow :director, :assistant, post: "/season/who", takes: { away: :choices, was: :choices } do
          result = Actions::TickAway.new(studio, params["away"], params["was"]).run
          say t("season.ticked", count: result.value)
          redirect "/season/who"
        end
        app.allow :director, :assistant, post: "/season/ask" do
          result = Actions::AskDays.new(studio, today).run
          say(result.ok? ? t("not_said.asked", count: result.value) : result.errors[:base])
          redirect "/season/who"
        end
      end

      def self.together(app)
        app.allow :director, post: "/season/plan", takes: { pieces: :table } do
          result = Actions::PlanTogether.new(studio, account, params["pieces"]).run
          say result.errors[:base] unless result.ok?
          redirect "/season"
        end
        app.allow :director, post: "/season/offers/:id/take" do
          result = Actions::TakeTogether.new(find(studio.plan_offers.where(kind: "season")), account, local_now).run
          say(result.ok? ? t("season.taken") : result.errors[:base])
          redirect "/season"
        end
        app.allow :director, post: "/season/tell", takes: { together: :whole, homes: :whole } do
          together, homes = params.values_at("together", "homes").map(&:to_i)
          result = Actions::TellTogether.new(studio, together, Shared::Clock.now, homes:).run
          say(result.ok? ? t("plans.published", count: result.value) : result.errors[:base])
          redirect "/season"
        end
      end

      def self.days(app)
        app.allow :director, post: "/days", takes: { day_kind: :text, from: :text, to: :text, group: :text } do
          result = Actions::AddDays.new(studio, params, today).run
          unless result.ok?
            shown = Pages::Show.new(member, local_now, errors: result.errors, typed: params)
            next page("season/show", shown, status: 422)
          end

          say result.value
          redirect "/season#days"
        end
        app.allow :director, post: "/days/:id/delete" do
          find(studio.season_days).destroy!
          redirect "/season#days"
        end
      end

      def self.evenings(app)
        app.allow :director, post: "/rehearsals/:id/leave", takes: { to: :text } do
          rehearsal = find(studio.rehearsals)
          rehearsal.update!(left_empty: wanted?)
          say t(rehearsal.left_empty ? "season.left" : "season.used_again", day: day(rehearsal.date)),
              undo: ("/rehearsals/#{rehearsal.id}/leave?to=no" if rehearsal.left_empty)
          redirect "/season"
        end
      end
    end
  end
end
