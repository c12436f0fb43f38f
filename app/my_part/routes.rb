# frozen_string_literal: true

module App
  module MyPart
    # A dancer's own page, behind their private link, and what stands behind it.
    module Routes
      # The page's person, and what they may see.
      module Mine
        def my_now = studio_of_bearer.local(Shared::Clock.now)
        def studio_of_bearer = bearer.studio

        def my_page(calendar = nil)
          more = { token: params["token"], guardian: bearer.guardian?, calendar: }
          Pages::Show.new(bearer.person, Shared::Clock.now, **more)
        end

        # A piece that this person dances in.
        def my_piece
          @my_piece ||= find(studio_of_bearer.pieces.running.where(id: bearer.person.castings.select(:piece_id)))
        end

        # A link of a piece that this person dances in.
        def my_link
          pieces = studio_of_bearer.pieces.running.where(id: bearer.person.castings.select(:piece_id))
          find(studio_of_bearer.links.where(piece_id: pieces.select(:id)))
        end
      end

      def self.registered(app)
        app.helpers Mine
        app.allow :bearer, get: "/my/:token", secret: :token do
          page "my_part/show", my_page(session.delete("shown_calendar")), layout: :"web/phone"
        end
        app.allow :bearer, get: "/my/:token/links/:id", secret: :token do
          link = Pages::MyLink.new(bearer.person, my_link, my_now, token: params["token"], guardian: bearer.guardian?)
          halt 404 unless link.dances?
          page "my_part/link", link, layout: :"web/phone"
        end
        own_sheet(app)
        from_the_top(app)
        on_the_phone(app)
        saying(app)
        remembering(app)
        away(app)
        reviews(app)
        files(app)
      end

      # Their own sheet on paper, for whoever gives it to them.
      def self.own_sheet(app)
        app.allow :bearer, get: "/my/:token/sheet.pdf", secret: :token, takes: { paper: :text } do
          send_paper(Pages::OwnPaper.new(bearer.person, Shared::Clock.now).paper, bearer.person.name)
        end
        app.allow :director, :assistant, get: "/people/:id/sheet.pdf", takes: { paper: :text } do
          person = find(studio.people.dancers)
          send_paper(Pages::OwnPaper.new(person, Shared::Clock.now, code: true).paper, person.name)
        end
      end

      # From the top as far as they have it, to be counted here or taken along.
      def self.from_the_top(app)
        app.allow :bearer, get: "/my/:token/top/:id", secret: :token do
          page "my_part/from_the_top", Pages::FromTheTop.new(bearer.person, my_piece, token: params["token"]),
               layout: :"web/phone"
        end
        app.allow :bearer, get: "/my/:token/practice/:id", secret: :token do
          shown = Pages::FromTheTop.new(bearer.person, my_piece, token: params["token"])
          halt 404 unless shown.practise?
          result = shown.file.run
          halt 404 unless result.ok?
          beside
          content_type "audio/wav"
          attachment shown.file.name
          result.value
        end
      end

      # What makes the page one of the phone's own: its place on the home screen, and the script that keeps it.
      def self.on_the_phone(app)
        app.allow :bearer, get: "/my/:token/manifest.webmanifest", secret: :token do
          beside
          content_type "application/manifest+json"
          name = t("my_part.title", name: bearer.person.first_name)
          JSON.generate(name:, short_name: name, start_url: "/my/#{params['token']}", scope: "/my/",
                        display: "standalone",
                        background_color: "#f7f2e7", theme_color: "#2b2731",
                        icons: [{ src: "/favicon.svg", sizes: "any", type: "image/svg+xml" }])
        end
        app.allow(:bearer, get: "/my/:token/form-token", secret: :token) { json(token: csrf) }
        app.allow :anyone, get: "/my-keeper.js" do
          beside
          content_type "text/javascript"
          headers "cache-control" => "no-cache"
          send_file File.join(Settings::ROOT, "public", "scripts", "my-keeper.js"), type: "text/javascript"
        end
      end

      # Absences: of a minor a guardian says them, of a grown-up they themselves.
      def self.away(app)
        app.allow :bearer, post: "/my/:token/absences", secret: :token, takes: { from_date: :text, to_date: :text } do
          halt 404 unless my_page.says_away?
          result = People::Actions::AddAbsence.new(bearer.person, params).run
          say(result.ok? ? t("guardian.away_kept") : result.errors.values.first)
          redirect "/my/#{params['token']}#away"
        end
        app.allow :bearer, post: "/my/:token/absences/:id/take-back", secret: :token do
          halt 404 unless my_page.says_away?
          find(bearer.person.absences).destroy!
          say t("guardian.away_gone")
          redirect "/my/#{params['token']}#away"
        end
        in_words(app)
        kept(app)
      end

      # When they come, in words, weekly, or to all.
      def self.in_words(app)
        app.allow :bearer, post: "/my/:token/comes", secret: :token do
          halt 404 unless my_page.says_away?
          People::Actions::ComesToAll.new(bearer.person, today).run
          say t("not_said.thanks")
          redirect "/my/#{params['token']}#away"
        end
        app.allow :bearer, post: "/my/:token/away", secret: :token, takes: { words: :text } do
          halt 404 unless my_page.says_away?
          result = People::Actions::SayAway.new(bearer.person, params["words"], today).run
          say(result.ok? ? result.value.join(" · ") : result.errors.values.first)
          redirect "/my/#{params['token']}#away"
        end
        app.allow :bearer, post: "/my/:token/habits/:id/take-back", secret: :token do
          halt 404 unless my_page.says_away?
          find(bearer.person.habits).destroy!
          say t("guardian.away_gone")
          redirect "/my/#{params['token']}#away"
        end
      end

      # What is kept about them.
      def self.kept(app)
        app.allow(:bearer, get: "/my/:token/kept", secret: :token) do
          page "my_part/kept", Pages::Kept.new(bearer.person, token: params["token"]), layout: :"web/phone"
        end
        app.allow :bearer, get: "/my/:token/kept.json", secret: :token do
          content_type :json
          attachment "kept-about-#{bearer.person.id}.json"
          JSON.pretty_generate(Reading::KeptAbout.new(bearer.person).to_h)
        end
      end

      def self.remembering(app)
        app.allow :bearer, get: "/my/:token/memory/:id", secret: :token, takes: { answered: :text } do
          given = params["answered"] && Pages::Memory.read(params["answered"])
          shown = Pages::Memory.new(bearer.person, my_piece, my_now, token: params["token"], given:)
          page "my_part/memory", shown, layout: :"web/phone"
        end
        app.allow :bearer, post: "/my/:token/memory/:id", secret: :token, takes: { answers: :table } do
          given = params["answers"] || {}
          shown = Pages::Memory.new(bearer.person, my_piece, my_now, token: params["token"], given:)
          Actions::Remember.new(my_piece, shown.questions, given, my_now.to_date).run
          redirect "#{shown.path}?answered=#{Rack::Utils.escape(Pages::Memory.write(given))}"
        end
      end

      def self.saying(app)
        said = { piece: :text, item: :text, rung: :whole, client: :text }
        app.allow :bearer, post: "/my/:token/reports", secret: :token, takes: said do
          halt 404 if bearer.guardian?
          result = Actions::Report.new(bearer.person, params, Shared::Clock.now).run
          next json({ why: result.errors&.values&.first }, result.ok? ? 200 : 422) if wants_json?

          say(result.ok? ? t("my_part.reported") : result.errors.values.first)
          redirect "/my/#{params['token']}"
        end
        app.allow :bearer, post: "/my/:token/questions", secret: :token, takes: { link: :text, text: :text } do
          halt 404 if bearer.guardian?
          link = find(studio_of_bearer.links, params["link"])
          result = Actions::AskTeacher.new(bearer.person, link, params["text"]).run
          say(result.ok? ? t("my_part.question_sent") : result.errors.values.first)
          redirect "/my/#{params['token']}/links/#{link.id}"
        end
      end

      # A clip for review: sent by the dancer, seen here by a guardian only.
      def self.reviews(app)
        app.allow :bearer, post: "/my/:token/reviews", secret: :token, takes: { link: :text, file: :upload } do
          halt 404 if bearer.guardian?
          link = find(studio_of_bearer.links, params["link"])
          result = Actions::SendForReview.new(bearer.person, link, params["file"]).run
          say(result.ok? ? t("reviews.sent") : result.errors.values.first)
          redirect "/my/#{params['token']}/links/#{link.id}"
        end
        app.allow :bearer, get: "/my/:token/reviews/:id", secret: :token do
          halt 404 unless bearer.guardian?
          mine = studio_of_bearer.clip_people.where(person_id: bearer.person_id).select(:upload_id)
          clip = find(studio_of_bearer.uploads.reviews.where(id: mine))
          beside
          headers "cache-control" => "private, no-store"
          send_file(Shared::ClipFile.path(clip) || halt(404), type: clip.type, disposition: :inline)
        end
      end

      def self.files(app)
        app.allow :bearer, get: "/my/:token/clips/:id", secret: :token do
          clip = find(studio_of_bearer.uploads.clips)
          halt 404 unless Pages::Show.new(bearer.person, Shared::Clock.now).shows?(clip)
          beside
          headers "cache-control" => "private, no-store"
          send_file(Shared::ClipFile.path(clip) || halt(404), type: clip.type, disposition: :inline)
        end
        app.allow :bearer, get: "/my/:token/track/:id", secret: :token do
          track = find(studio_of_bearer.uploads.tracks.where(piece_id: bearer.person.castings.select(:piece_id)))
          beside
          headers "cache-control" => "private, max-age=86400"
          send_file(Shared::TrackFile.path(track) || halt(404), type: track.type, disposition: :inline)
        end
      end
    end
  end
end
