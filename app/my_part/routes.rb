# frozen_string_literal: true

module App
  module MyPart
    # A dancer's own page, behind their private link.
    module Routes
      def self.registered(app)
        app.allow :bearer, get: "/my/:token" do
          page "my_part/show", Pages::Show.new(bearer.person, Shared::Clock.now), layout: :"web/phone"
        end
        app.allow :bearer, post: "/my/:token/reports", takes: { piece: :text, item: :text, rung: :whole } do
          result = Actions::Report.new(bearer.person, params, Shared::Clock.now).run
          say(result.ok? ? t("my_part.reported") : result.errors.values.first)
          redirect "/my/#{params['token']}"
        end
      end
    end
  end
end
