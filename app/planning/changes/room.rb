# frozen_string_literal: true

module App
  module Planning
    module Changes
      # A room is lost for the rehearsals ahead. One that is gone for good is archived on Rehearsals.
      class Room < Change
        def valid? = !room.nil?
        def season = { lost: room.id }

        private

        def room = @room ||= @studio.rooms.open.find_by(id: id("room"))
        def words = { name: room.name }

        def accept
          @studio.rehearsals.standing.where(date: today..).to_a.each do |rehearsal|
            rehearsal.rehearsal_rooms.where(room_id: room.id).delete_all
            rehearsal.touch
          end
        end
      end
    end
  end
end
