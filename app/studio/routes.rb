# frozen_string_literal: true

module App
  module Studio
    # Beginning a studio, choosing among several, its settings, leaving it.
    module Routes
      def self.registered(app)
        places(app)
        settings(app)
      end

      def self.places(app)
        app.allow(:account, get: "/studios") { page "studio/places", Pages::Places.new(account), layout: :plain }
        app.allow :account, post: "/studios/:id/enter" do
          place = account.memberships.find_by(studio_id: number(params["id"])) || halt(404)
          session["studio"] = place.studio_id
          redirect "/"
        end
      end

      def self.settings(app)
        app.allow(:member, get: "/settings") { page "studio/settings", Pages::Settings.new(member) }
        app.allow :director, post: "/settings", takes: Shapes::SETTINGS do
          result = Actions::ChangeSettings.new(studio, params).run
          unless result.ok?
            shown = Pages::Settings.new(member, result.errors, form: result.value)
            next page("studio/settings", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          say t("settings.saved")
          redirect "/settings"
        end
        app.allow :member, post: "/leave" do
          result = Actions::Leave.new(member).run
          say(result.ok? ? t("settings.left", studio: studio.name) : result.errors[:base])
          session.delete("studio") if result.ok?
          redirect(result.ok? ? "/studios" : "/settings")
        end
      end
    end
  end
end
