# frozen_string_literal: true

module App
  module Piece
    # A MIDI file as the form of the music: what it says fills the fields, what it does not say stays as it stands.
    # Nothing is saved before somebody saves the form.
    class MidiForm
      attr_reader :read

      # Raises Formats::FaultyFile.
      def initialize(piece, bytes)
        @piece = piece
        @read = Formats::Midi.parse(bytes)
      end

      # Shared::OpenForm, filled in.
      def form = MusicForm.of(@piece, { **now, **values, "was" => MusicForm.of(@piece).was })

      # What became of the file: [sentence].
      def report
        [
          I18n.t("music.midi.tempi", count: read.tempo.size),
          (I18n.t("music.midi.moved", count: read.moved) if read.moved.positive?),
          (I18n.t("music.midi.compound", meter: read.meter) if read.meter),
          I18n.t("music.midi.markers", count: read.markers.size, parts: parts.size),
          *read.left_out.map { |what, count| I18n.t("music.midi.left_out.#{what}", count:) }
        ].compact
      end

      private

      def now = MusicForm.now(@piece).transform_values(&:to_s)

      def values
        length = read.length_seconds
        {
          "tempo" => TempoLines.render(read.tempo), "first_count" => TempoLines.plain(read.first_count_seconds),
          "length" => length && Formats::Times.length(length),
          "form" => (FormLines.render(parts) if parts.any?)
        }.compact
      end

      # Markers as parts of the music: each goes on to the next, the last to the end.
      def parts
        @parts ||= begin
          starts = read.markers.uniq(&:first).sort_by(&:first)
          ends = [*starts.drop(1).map(&:first), last_count]
          found = starts.zip(ends).map { |(count, text), to| [text.tr("\n", " ")[0, 40], to - count] }
          found.select { |_, counts| counts.positive? }.first(FormLines::MOST)
        end
      end

      def last_count
        return 1 unless read.length_seconds

        map = Core::Music::TempoMap.new(read.tempo, first_seconds: read.first_count_seconds)
        map.beat_at(read.length_seconds).round
      end
    end
  end
end
