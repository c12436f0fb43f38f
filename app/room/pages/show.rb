# frozen_string_literal: true

module App
  module Room
    module Pages
      # In the room: one screen for the evening.
      class Show
        attr_reader :evening, :room

        delegate :rehearsal, :studio, :rooms, to: :evening

        def initialize(evening, room_id = nil)
          @evening = evening
          @room = rooms.find { |room| room.id == room_id } || own_room || rooms.first
        end

        def title = I18n.t("room.title", day: Shared::Dates.day(rehearsal.date))
        def facts = Facts.new(evening, room).to_h
        def empty? = evening.slots.empty?
        def others = rooms - [room]
        def path(room = self.room) = "/rehearsals/#{rehearsal.id}/room#{"?room=#{room.id}" if room}"

        # Data inside a page: nothing in it can end the element it stands in.
        def json = facts.to_json.gsub("<", "\\u003c")

        private

        # Where this member's person is called now, or next.
        def own_room
          own = evening.sheet.own_slots.select { |slot| slot.end_minute > evening.minute }
          own.min_by(&:start_minute)&.room
        end
      end
    end
  end
end
