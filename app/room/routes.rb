# frozen_string_literal: true

module App
  module Room
    # In the room: the evening's screen, what devices send from it, and the page that confirms it.
    module Routes
      def self.registered(app)
        app.helpers Here
        finding(app)
        app.allow :member, get: "/rehearsals/:id/room", takes: Shapes::EVENING do
          shown = Pages::Show.new(evening, number(params["room"]))
          headers "x-keep-until" => evening.kept_until.to_s
          page "room/show", shown, layout: :"room/room"
        end
        app.allow(:member, get: "/rehearsals/:id/evening", takes: Shapes::EVENING) do
          shown = Pages::Show.new(evening, number(params["room"]))
          json(shown.facts)
        end
        app.allow :member, post: "/rehearsals/:id/entries", takes: Shapes::ENTRIES do
          rehearsal = found_rehearsal
          sent = params["entries"] || refuse_input("entries" => t("errors.object"))
          json(entries: Actions::TakeIn.new(rehearsal, member, sent, local_now).run)
        end
      end

      def self.finding(app)
        app.allow :member, get: "/room" do
          shown = Pages::Choose.new(member, local_now)
          next redirect("/rehearsals/#{shown.only.id}/room") if shown.only

          page "room/choose", shown
        end
        app.allow(:account, get: "/form-token") { json(token: csrf) }
        # The script that keeps a page for when there is no network; it may only look after pages below its own address.
        app.allow :anyone, get: "/room-keeper.js" do
          beside
          content_type "text/javascript"
          headers "cache-control" => "no-cache"
          send_file File.join(Settings::ROOT, "public", "scripts", "room-keeper.js"), type: "text/javascript"
        end
      end

      # The rehearsal that a request is about.
      module Here
        def found_rehearsal = @found_rehearsal ||= find(studio.rehearsals)
        def evening = @evening ||= Reading::Evening.new(found_rehearsal, member, local_now)
      end
    end
  end
end
