# frozen_string_literal: true

module App
  module Piece
    module Actions
      # A tempo from where the sounds of a recording begin (a hundred values a second), in the ways it may be counted.
      class HearTempo
        MOST = 60_000

        def initialize(onsets) = @onsets = Array(onsets).first(MOST)

        # Value: {choices:, text:}. Where a beat falls is said; which of them is count 1 nobody hears from sounds alone.
        def run
          heard = Core::Music::OnsetTempo.new(@onsets)
          return Shared::Result.no({ text: I18n.t("music.heard.none") }) unless heard.found?

          text = I18n.t("music.heard.found", bpm: heard.bpm, first: heard.first_beat)
          Shared::Result.ok({ choices: heard.choices, text: })
        rescue Core::ValueError
          Shared::Result.no({ text: I18n.t("music.heard.short") })
        end
      end
    end
  end
end
