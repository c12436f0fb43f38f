# frozen_string_literal: true

module App
  module Piece
    module Actions
      # A tempo from taps (milliseconds), with how steady they were.
      class TapTempo
        MOST = 400

        def initialize(times) = @times = Array(times).first(MOST).grep(Numeric)

        def run
          taps = Core::Music::Taps.new(@times)
          Shared::Result.ok(
            {
              bpm: taps.bpm,
              spread: (taps.spread * 100).round(1),
              dropped: taps.dropped.size,
              text:
                I18n.t(
                  taps.dropped.any? ? "music.tapped_dropped" : "music.tapped",
                  bpm: taps.bpm,
                  spread: (taps.spread * 100).round(1),
                  dropped: taps.dropped.size
                )
            }
          )
        rescue Core::ValueError
          Shared::Result.no({ text: I18n.t("music.tap_more", count: [Core::Music::Taps::LEAST - @times.size, 1].max) })
        end
      end
    end
  end
end
