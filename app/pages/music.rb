# frozen_string_literal: true

module App
  module Pages
    # The music of a piece: length, tempi, first count, form, and what that means for the links.
    class Music < PiecePage
      attr_reader :errors

      def initialize(typed: nil, errors: {}, **rest)
        super(**rest)
        @typed = typed
        @errors = errors
      end

      def screen = :share_out
      def findings = Core::Piece::MusicFit.new(work).findings.map { |finding| Wording.music(finding) }
      def starts = order.start_points
      def form = FormPicture.new(self)

      def value(name)
        return @typed[name].to_s if @typed

        track = piece.track
        case name
        when "title" then piece.title
        when "show_date" then piece.show_date&.iso8601.to_s
        when "length" then track&.length_seconds ? Formats::Times.length(track.length_seconds) : ""
        when "first_count" then Svg.plain((track&.first_count_seconds || 0).to_f)
        when "tempo" then Actions::TempoLines.render(track&.tempo || [[1, 120]])
        when "form" then Actions::FormLines.render(track&.form || [])
        end
      end
    end
  end
end
