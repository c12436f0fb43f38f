# frozen_string_literal: true

module Core
  module Music
    # A named place to restart: "take it from …". count is from the piece's beginning; seconds are of the
    # recording; music_from is where the music starts so that the count-in is heard (may be below 0).
    class StartPoint < Values::Value.of(:name, :link, :row, :count, :seconds, :music_from)
      COUNT_IN = 4
      # Counts of a count-in: 3-2-1, 5-6-7-8, or a whole eight.
      COUNT_INS = [3, 4, 8].freeze

      # The place at a beat, with a count-in of so many beats before it.
      def self.at(map, beat, count_in: COUNT_IN, **where)
        new(**where, seconds: map.seconds_at(beat), music_from: map.seconds_at(beat - count_in))
      end
    end
  end
end
