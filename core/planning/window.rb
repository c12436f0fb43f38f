# frozen_string_literal: true

module Core
  module Planning
    # One rehearsal's usable time: a date (ISO text), start and end in minutes of the day, rooms as
    # [[id, capacity], …].
    class Window < Values::Value.of(:id, :date, :start, :finish, rooms: [].freeze)
      def minutes = finish - start
      def span = Values::Interval.new(start, finish)
    end
  end
end
