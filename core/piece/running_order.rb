# frozen_string_literal: true

module Core
  module Piece
    # Lays the links on the counts and on the music. Totals are always derived from the links.
    #
    #   order.links.map(&:start_count)  # => [1, 49, 105]
    class RunningOrder
      attr_reader :links

      def initialize(work)
        @work = work
        @links = place.freeze
      end

      # Counts of the whole piece.
      def total_counts = links.sum(&:counts)

      # Beats of the whole piece (Rational).
      def total_beats = links.sum { |placed| placed.link.beats }

      # Seconds from the first count to the end of the last link.
      def length_seconds = links.empty? ? 0.0 : map.seconds_between(1, 1 + total_beats)

      # The second of the recording at which the last count ends.
      def end_seconds = map.seconds_at(1 + total_beats)

      # The second of the recording so many counts (a Rational, from 0) after a placed link begins.
      def second_at(placed, offset) = map.seconds_at(placed.start_beat + (offset * placed.section.beats_per_count))

      # The link that holds a count of the piece, or nil past the end.
      def link_at(count) = links.find { |placed| count.between?(placed.start_count, placed.end_count) }

      # Every link's start and every named eight's, in order: Music::StartPoint.
      def start_points(count_in: @work.count_in)
        links.flat_map { |placed| points_in(placed, count_in) }
      end

      private

      def map = @work.track.map

      def place
        count = 1
        beat = 1r
        seen = Hash.new(0)
        @work.links.each_with_index.map do |link, i|
          placed = placed(link, i + 1, count, beat, seen[link.section.id] += 1)
          count += link.counts
          beat += link.beats
          placed
        end
      end

      def placed(link, index, count, beat, occurrence)
        PlacedLink.new(
          index:,
          link:,
          start_count: count,
          start_beat: beat,
          start_seconds: map.seconds_at(beat),
          seconds: map.seconds_between(beat, beat + link.beats),
          occurrence:,
          occurrences: totals[link.section.id]
        )
      end

      def totals = @totals ||= @work.links.map { |link| link.section.id }.tally

      def points_in(placed, count_in)
        offset = placed.section.parts.map(&:offset).min || 0
        placed.link.danced.each_with_index.filter_map do |danced, i|
          point = point(placed, danced.row, i, i.zero? ? 0 : offset, count_in) if i.zero? || danced.row.name != ""
          offset += danced.row.counts
          point
        end
      end

      def point(placed, row, index, offset, count_in)
        beat = placed.start_beat + (offset * placed.section.beats_per_count)
        name = row.name == "" ? placed.said : row.name
        Music::StartPoint.at(
          map,
          beat,
          count_in:,
          name:,
          link: placed.index,
          row: index + 1,
          count: placed.start_count + offset
        )
      end
    end
  end
end
