# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The music of a piece: length, tempi, first count, form, and what that means for the links.
      class Music < Shared::PiecePage
        attr_reader :errors

        def initialize(typed: nil, errors: {}, **rest)
          super(**rest)
          @typed = typed
          @errors = errors
        end

        def screen = :share_out
        def findings = Core::Piece::MusicFit.new(work).findings.map { |finding| Shared::Wording.music(finding) }
        def starts = order.start_points
        def form = FormPicture.new(self)

        def value(name) = (@typed || saved)[name].to_s

        private

        def saved
          track = piece.track || Records::Track.new
          {
            "title" => piece.title,
            "show_date" => piece.show_date&.iso8601,
            "length" => track.length_seconds && Formats::Times.length(track.length_seconds),
            "first_count" => Shared::Drawing.plain(track.first_count_seconds.to_f),
            "tempo" => TempoLines.render(track.tempo),
            "form" => FormLines.render(track.form)
          }
        end
      end
    end
  end
end
