# frozen_string_literal: true

module App
  module Rehearsals
    module Actions
      # A room with how many dancers it holds; from its floor area (4 m² a dancer) when only that is known.
      class AddRoom
        AREA_EACH = 4

        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        # One at a time in a studio: two people adding the same room are told, not shown an error.
        def run = @studio.alone(:rooms) { add }

        private

        def add
          area = Integer(@params["area"].to_s, exception: false)
          capacity = Integer(@params["capacity"].to_s, exception: false) || (area && (area / AREA_EACH))
          room = @studio.rooms.new(name: @params["room"], capacity:, area:)
          if @studio.rooms.where("lower(name) = ?", room.name.to_s.downcase).exists?
            Shared::Result.no({ room: I18n.t("rehearsals.same_room") })
          elsif room.save
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
