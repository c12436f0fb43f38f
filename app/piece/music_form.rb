# frozen_string_literal: true

module App
  module Piece
    # Title and dates of a piece beside its track, as typed.
    module MusicForm
      FIELDS = %w[title show_date length first_count count_in tempo form].freeze

      module_function

      def of(piece, sent = nil) = Shared::OpenForm.new(now(piece), sent: sent&.slice(*FIELDS, "was"))

      def now(piece)
        track = piece.track || Records::Track.new
        {
          "title" => piece.title,
          "show_date" => piece.show_date&.iso8601,
          "length" => track.length_seconds && Formats::Times.length(track.length_seconds),
          "first_count" => TempoLines.plain(track.first_count_seconds.to_f),
          "count_in" => piece.setting("count_in"),
          "tempo" => TempoLines.render(track.tempo),
          "form" => FormLines.render(track.form)
        }
      end

      def conflicts(form) = form.conflicts.map { |each| [I18n.t("music.fields.#{each.name}"), each.mine, each.theirs] }
    end
  end
end
