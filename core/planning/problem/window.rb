# frozen_string_literal: true

require "date"

module Core
  module Planning
    # One rehearsal's usable time: a date (ISO text), start and end in minutes of the day, rooms as
    # [[id, capacity], …]; kind: rehearsal, technical, dress, photo or show; no_new: nothing new is set in it.
    class Window < Values::Value.of(:id, :date, :start, :finish, rooms: [].freeze, kind: "rehearsal", no_new: false)
      # The date as a day number.
      attr_reader :day

      # Minutes from its start to its end.
      def minutes = finish - start

      private

      def settle = @day = Date.iso8601(date).jd
    end
  end
end
