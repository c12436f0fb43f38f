# frozen_string_literal: true

module App
  module Rehearsals
    # The studio's rehearsals and rooms, shared by all its pieces.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/rehearsals") { page "rehearsals/index", Pages::Index.new(member, local_now) }
        app.allow :director, post: "/rehearsals" do
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
        app.allow :director, post: "/rehearsals/:id/cancel" do
          rehearsal = find(studio.rehearsals)
          rehearsal.update!(cancelled_at: rehearsal.cancelled_at ? nil : Shared::Clock.now)
          say t(rehearsal.cancelled_at ? "rehearsals.cancelled" : "rehearsals.back", day: day(rehearsal.date)),
              undo: ("/rehearsals/#{rehearsal.id}/cancel" if rehearsal.cancelled_at)
          redirect "/rehearsals"
        end
        app.allow :director, post: "/rooms" do
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
        app.allow :director, post: "/rooms/:id/archive" do
          room = find(studio.rooms)
          room.archive_or_restore(Shared::Clock.now)
          say t(room.archived_at ? "rehearsals.room_gone" : "rehearsals.room_back", name: room.name),
              undo: ("/rooms/#{room.id}/archive" if room.archived_at)
          redirect "/rehearsals#rooms"
        end
      end
    end
  end
end
