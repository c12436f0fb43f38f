# frozen_string_literal: true

module App
  module Room
    module Pages
      # In the room: one screen for the evening.
      class Show
        # In the order in which they are loaded.
        SCRIPTS = %w[
          keeping leaving room_queue room_view room_caller room_clock room_here room_ticks room_notes room_counting
          room_running room
        ].freeze

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
        def scripts = SCRIPTS
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
