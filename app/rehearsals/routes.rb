# frozen_string_literal: true

module App
  module Rehearsals
    # The studio's rehearsals and rooms, shared by all its pieces.
    module Routes
      def self.registered(app)
        rehearsals(app)
        rooms(app)
      end

      def self.rehearsals(app)
        app.allow(:member, get: "/rehearsals") { page "rehearsals/index", Pages::Index.new(member, local_now) }
        app.allow :director, post: "/rehearsals", takes: Shapes::REHEARSALS do
          result = Actions::Add.new(studio, params).run
          unless result.ok?
            next page(
              "rehearsals/index",
              Pages::Index.new(member, local_now, errors: result.errors, typed: params),
              status: 422
            )
          end

          say t("rehearsals.added", count: result.value)
          redirect "/rehearsals"
        end
        changing(app)
        app.allow :director, post: "/rehearsals/:id/cancel", takes: { to: :text } do
          rehearsal = find(studio.rehearsals)
          wanted? ? rehearsal.cancel(Shared::Clock.now) : rehearsal.restore
          say t(rehearsal.cancelled_at ? "rehearsals.cancelled" : "rehearsals.back", day: day(rehearsal.date)),
              undo: ("/rehearsals/#{rehearsal.id}/cancel?to=no" if rehearsal.cancelled_at)
          redirect "/rehearsals"
        end
      end

      def self.changing(app)
        app.allow :director, get: "/rehearsals/:id/change" do
          page "rehearsals/change", Pages::Change.new(find(studio.rehearsals.standing), member, local_now)
        end
        app.allow :director, post: "/rehearsals/:id/change", takes: Shapes::CHANGE do
          rehearsal = find(studio.rehearsals.standing)
          result = Actions::Change.new(rehearsal, params, today).run
          unless result.ok?
            shown = Pages::Change.new(rehearsal, member, local_now, errors: result.errors, typed: params)
            next page("rehearsals/change", shown, status: 422)
          end

          say result.value.join(" ")
          redirect "/rehearsals"
        end
      end

      def self.rooms(app)
        app.allow :director, post: "/rooms", takes: Shapes::ROOM do
          result = Actions::AddRoom.new(studio, params).run
          unless result.ok?
            next page(
              "rehearsals/index",
              Pages::Index.new(member, local_now, errors: result.errors, typed: params),
              status: 422
            )
          end

          redirect "/rehearsals#rooms"
        end
        app.allow :director, post: "/rooms/:id/way-in", takes: { steps: :text } do
          room = find(studio.rooms)
          room.update!(step_free: Records::Room.reached(params["steps"]))
          say t("rehearsals.way_in_saved", name: room.name)
          redirect "/rehearsals#rooms"
        end
        app.allow :director, post: "/rooms/:id/archive", takes: { to: :text } do
          room = find(studio.rooms)
          room.archive_or_restore(wanted?, Shared::Clock.now)
          say t(room.archived_at ? "rehearsals.room_gone" : "rehearsals.room_back", name: room.name),
              undo: ("/rooms/#{room.id}/archive?to=no" if room.archived_at)
          redirect "/rehearsals#rooms"
        end
      end
    end
  end
end
