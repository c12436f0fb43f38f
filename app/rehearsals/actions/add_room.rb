# frozen_string_literal: true

module App
  module Rehearsals
    module Actions
      # A room with how many dancers it holds; from its floor area (4 m² a dancer) when only that is known.
      class AddRoom
        AREA_EACH = 4
        MOST_AREA = 10_000

        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        # One at a time in a studio: two people adding the same room are told, not shown an error.
        def run = @studio.alone(:rooms) { add }

        private

        # Into every rehearsal that is still ahead.
        def put_everywhere(room)
          ahead = @studio.rehearsals.standing.where(date: @studio.today(Shared::Clock.now)..)
          ahead.each { |rehearsal| rehearsal.rehearsal_rooms.create!(studio: @studio, room:) }
        end

        # A whole number, no larger than one above what any room has, so that the row can say what is wrong with it.
        def figure(name, most) = Integer(@params[name].to_s, exception: false)&.clamp(-1, most)

        def add
          area = figure("area", MOST_AREA)
          capacity = figure("capacity", MOST_AREA) || (area && (area / AREA_EACH))
          step_free = Records::Room.reached(@params["steps"])
          room = @studio.rooms.new(name: @params["room"], capacity:, area:, step_free:)
          if @studio.rooms.where("lower(name) = ?", room.name.to_s.downcase).exists?
            Shared::Result.no({ room: I18n.t("rehearsals.same_room") })
          elsif room.save
            put_everywhere(room) if @params["everywhere"] == "1"
            Shared::Result.ok(room)
          else
            Shared::Result.no(
              { room: I18n.t(room.errors[:name].any? ? "rehearsals.room_name" : "rehearsals.room_size") }
            )
          end
        end
      end
    end
  end
end
