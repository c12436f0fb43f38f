# frozen_string_literal: true

module App
  module Programs
    module Answers
      # Rehearsals in order of time: local days and times, in the studio's zone.
      class Rehearsals
        def initialize(studio, _now) = @studio = studio

        def rows
          @studio.rehearsals.includes(:rooms).order(:date, :start_minute, :id).map do |each|
            { id: each.id, date: each.date.iso8601, start: clock(each.start_minute), end: clock(each.end_minute),
              zone: @studio.time_zone, rooms: each.rooms.map(&:name).sort, cancelled: !each.cancelled_at.nil? }
          end
        end

        private

        def clock(minutes) = Formats::Times.clock(minutes)
      end
    end
  end
end
