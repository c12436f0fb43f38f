# frozen_string_literal: true

module Formats
  # starts-1: the start points of a piece, for whoever runs the music.
  module Starts
    NAME = "starts-1"

    # [Core::Music::StartPoint] => JSON text; seconds to the millisecond.
    def self.render(points)
      rows = points.map do |point|
        {
          "name" => point.name,
          "link" => point.link,
          "row" => point.row,
          "count" => point.count,
          "seconds" => point.seconds.round(3),
          "music_from" => point.music_from.round(3)
        }
      end
      JSON.generate("format" => NAME, "starts" => rows)
    end
  end
end
