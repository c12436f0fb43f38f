# frozen_string_literal: true

module App
  module Home
    # The state of the work and the next decision.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/") { page "home/show", Pages::Show.new(member, local_now) }
        app.allow :director, post: "/sample", takes: { to: :text } do
          look = Actions::LookRound.new(studio, account, Shared::Clock.now)
          next redirect("/pieces/#{look.run.id}") if wanted?

          look.take_away
          say t("sample.gone")
          redirect "/"
        end
        app.allow :director, post: "/way", takes: { to: :text } do
          studio.update!(settings: studio.settings.merge("way_closed" => !wanted?))
          say t("way.closed"), undo: ("/way?to=yes" if studio.setting("way_closed"))
          redirect "/"
        end
      end
    end
  end
end
