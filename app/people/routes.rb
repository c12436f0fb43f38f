# frozen_string_literal: true

module App
  module People
    # Dancers and choreographers, when they can come, and their private links.
    module Routes
      def self.registered(app)
        app.allow :member, get: "/people" do
          page "people/index", Pages::Index.new(member, today, links: session["links"])
        end
        app.allow :director, post: "/people", takes: Shapes::PERSON do
          result = Actions::Save.new(studio, studio.people.new, params).run
          next page("people/index", Pages::Index.new(member, today, result), status: 422) unless result.ok?

          say t("people.added", name: result.value.name)
          redirect "/people"
        end
        app.allow(:member, get: "/people/:id") do
          shown = Pages::Show.new(find(studio.people), member, local_now, link: session.delete("shown_link"))
          page "people/show", shown
        end
        app.allow :director, post: "/people/:id", takes: Shapes::PERSON do
          result = Actions::Save.new(studio, find(studio.people), params).run
          unless result.ok?
            shown = Pages::Show.new(result.value, member, local_now, errors: result.errors)
            next page("people/show", shown, status: 422)
          end

          say t("people.saved", name: result.value.name)
          redirect "/people/#{result.value.id}"
        end
        app.allow :director, post: "/ages", takes: { band: :text } do
          count = Actions::SayAges.new(studio, params["band"]).run
          say t("bands.said", count:)
          redirect "/people"
        end
        presence(app)
        links(app)
      end

      def self.presence(app)
        app.allow :director, :assistant, post: "/people/:id/absences", takes: Shapes::ABSENCE do
          person = find(studio.people)
          result = Actions::AddAbsence.new(person, params).run
          unless result.ok?
            next page(
              "people/show",
              Pages::Show.new(person, member, local_now, errors: result.errors, typed: params),
              status: 422
            )
          end

          redirect "/people/#{person.id}#dates"
        end
        app.allow :director, :assistant, post: "/people/:id/absences/:absence/delete" do
          person = find(studio.people)
          find(person.absences, params["absence"]).destroy!
          redirect "/people/#{person.id}#dates"
        end
        out_from_today(app)
        in_words(app)
        visits(app)
      end

      def self.out_from_today(app)
        app.allow :director, :assistant, post: "/people/:id/out", takes: { days: :text, back: :text } do
          person = find(studio.people.present)
          out = Actions::OutFromToday.new(person, today)
          if params["back"] == "yes"
            out.back
            say t("people.out.is_back", name: person.name)
            next redirect("/people/#{person.id}#dates")
          end

          result = out.run(params["days"])
          unless result.ok?
            shown = Pages::Show.new(person, member, local_now, errors: result.errors, typed: params)
            next page("people/show", shown, status: 422)
          end

          redirect "/people/#{person.id}#out"
        end
      end

      def self.in_words(app)
        app.allow :director, :assistant, post: "/people/:id/comes" do
          Actions::ComesToAll.new(find(studio.people.present), today).run
          redirect "/season/who"
        end
        app.allow :director, :assistant, post: "/people/:id/away", takes: { words: :text } do
          person = find(studio.people)
          result = Actions::SayAway.new(person, params["words"], today).run
          unless result.ok?
            shown = Pages::Show.new(person, member, local_now, errors: result.errors, typed: params)
            next page("people/show", shown, status: 422)
          end

          say result.value.join(" · ")
          redirect "/people/#{person.id}#dates"
        end
        app.allow :director, :assistant, post: "/people/:id/habits/:number/delete" do
          person = find(studio.people)
          find(person.habits, params["number"]).destroy!
          redirect "/people/#{person.id}#dates"
        end
      end

      def self.visits(app)
        app.allow :director, :assistant, post: "/people/:id/visits", takes: { dates: :text, was: :text } do
          person = find(studio.people)
          result = Actions::SetVisits.new(person, params["dates"], params["was"]).run
          unless result.ok?
            shown = Pages::Show.new(person, member, local_now, errors: result.errors, typed: params)
            next page("people/show", shown, status: 422)
          end

          say t("people.dates_saved")
          redirect "/people/#{person.id}#dates"
        end
      end

      # The word that the page behind a dancer's sheet asks for.
      def self.family_word(app)
        app.allow :director, :assistant, post: "/people/:id/family-word", takes: { word: :text } do
          person = find(studio.people.dancers)
          result = Actions::GiveWord.new(person, params["word"], Shared::Clock.now).run
          unless result.ok?
            next page("people/show", Pages::Show.new(person, member, local_now, errors: result.errors), status: 422)
          end

          say t(result.value ? "people.word_given" : "people.word_gone", name: person.name)
          redirect "/people/#{person.id}#sheet"
        end
      end

      def self.links(app)
        family_word(app)
        { "link" => "dancer", "guardian-link" => "guardian" }.each do |tail, kind|
          app.allow :director, :assistant, post: "/people/:id/#{tail}", takes: { calendars: :text } do
            person = find(studio.people)
            calendars = params["calendars"] == "go_on"
            session["shown_link"] = Actions::RenewLink.new(person, Shared::Clock.now, kind:, calendars:).run
            redirect "/people/#{person.id}#link"
          end
          app.allow :director, :assistant, post: "/people/:id/#{tail}/revoke" do
            person = find(studio.people)
            person.person_links.given.where(kind:).update_all(revoked_at: Shared::Clock.now)
            say t("people.link_revoked", name: person.name)
            redirect "/people/#{person.id}#link"
          end
        end
        links_at_once(app)
        keeping(app)
      end

      # Links of everybody who has none, made by one tap, and printed while whoever made them is signed in.
      def self.links_at_once(app)
        app.allow :director, :assistant, post: "/links" do
          secret = session["links"] ||= SecureRandom.hex(32)
          say t("people.links_made", count: Actions::GiveLinks.new(studio, secret).run)
          redirect "/people#links"
        end
        app.allow :director, :assistant, get: "/links.pdf" do
          given = Reading::LinksAtOnce.new(studio, session["links"]).given
          next redirect("/people#links") if given.empty?

          send_paper(Pages::LinksPaper.new(studio, given, local_now).paper, t("papers.links.title"))
        end
      end

      # Both look first at the sentences that name somebody.
      def self.erasing(app)
        app.allow :director, post: "/people/:id/erase", takes: Shapes::ERASING do
          person = find(studio.people.where(erased_at: nil))
          result = Actions::Erase.new(person, params["name"], seen: params["seen"].to_s, take: params["take"].to_a).run
          next page("people/kept", Pages::Kept.new(person, result.errors), status: 422) unless result.ok?

          say t("kept.erased") # without the name: what is said is kept with the form's key
          redirect "/people"
        end
        app.allow :director, post: "/people/:id/names", takes: Shapes::ERASING do
          person = find(studio.people)
          result = Actions::SettleNames.new(person, seen: params["seen"].to_s, take: params["take"].to_a).run
          next page("people/kept", Pages::Kept.new(person, result.errors), status: 422) unless result.ok?

          say t("kept.names_settled")
          redirect "/"
        end
      end

      # What is kept about somebody, handed out or erased; and who is archived.
      def self.keeping(app)
        app.allow(:director, get: "/people/:id/kept") { page "people/kept", Pages::Kept.new(find(studio.people)) }
        app.allow :director, get: "/people/:id/kept.json" do
          person = find(studio.people)
          content_type :json
          attachment "kept-about-#{person.id}.json"
          JSON.pretty_generate(Reading::KeptAbout.new(person).to_h)
        end
        erasing(app)
        app.allow :director, get: "/people/:id/archive" do
          page "people/archiving", Pages::Archiving.new(find(studio.people.present), Shared::Clock.now)
        end
        app.allow :director, post: "/people/:id/archive", takes: { to: :text } do
          person = find(studio.people)
          action = Actions::Archive.new(person, Shared::Clock.now)
          wanted? ? action.run : action.restore
          say t(person.archived_at ? "people.archived" : "people.back", name: person.name),
              undo: ("/people/#{person.id}/archive?to=no" if person.archived_at)
          redirect "/people"
        end
      end
    end
  end
end
