# frozen_string_literal: true

module App
  module MyPart
    # A dancer's own page, behind their private link.
    module Routes
      def self.registered(app)
        app.allow :bearer, get: "/my/:token" do
          shown = Pages::Show.new(bearer.person, Shared::Clock.now, token: params["token"])
          page "my_part/show", shown, layout: :"web/phone"
        end
        app.allow :bearer, get: "/my/:token/clips/:id" do
          clip = find(bearer.studio.uploads.clips)
          halt 404 unless Pages::Show.new(bearer.person, Shared::Clock.now).shows?(clip)
          beside
          headers "cache-control" => "private, no-store"
          send_file(Shared::ClipFile.path(clip) || halt(404), type: clip.type, disposition: :inline)
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
