# frozen_string_literal: true

module App
  module Piece
    # A piece's music as a MIDI file: its tempi, a marker at every start point, a click on every count.
    class MidiFile
      def initialize(work) = @work = work

      def bytes
        Formats::Midi.render(track: @work.track, markers:, clicks:, title: @work.title)
      end

      private

      def markers
        map = @work.track.map
        @work.order.start_points.map { |point| [map.beat_at(point.seconds).round(3), point.name] }
      end

      def clicks
        @work.order.links.flat_map { |placed| of_link(placed) }
      end

      def of_link(placed)
        step = placed.section.beats_per_count
        firsts = firsts(placed)
        Array.new(placed.counts) do |i|
          Formats::Midi::Click.new(beat: placed.start_beat + (i * step), kind: kind(i, firsts))
        end
      end

      def kind(count, firsts)
        return :link if count.zero?

        firsts.include?(count) ? :eight : :count
      end

      # Counts of a link, from 0, on which an eight begins.
      def firsts(placed)
        placed.link.danced.map { |danced| danced.row.counts }.reduce([0]) { |at, counts| [*at, at.last + counts] }
      end
    end
  end
end
