# frozen_string_literal: true

module Core
  module Piece
    # Holds the running order against the music: its length, and its own form where that is written down.
    # A finding's kind: :music_left (seconds uncovered), :past_end (seconds too long), :part_longer or
    # :part_shorter (a part of the form against the links that start in it, by counts).
    class MusicFit
      Misfit = Struct.new(:kind, :count, :amount, :subject, keyword_init: true)
      SLACK = 1.0

      def initialize(work)
        @work = work
        @order = work.order
      end

      # [Misfit]: the piece against the length and the form of its music.
      def findings = [*length_finding, *form_findings]

      private

      def length_finding
        length = @work.track.length_seconds or return []
        over = @order.end_seconds - length
        return [] if over.abs <= SLACK || @order.links.empty?

        [Misfit.new(kind: over.positive? ? :past_end : :music_left, count: last_count, amount: over.abs.round(1))]
      end

      def last_count = @order.total_counts

      def form_findings
        parts = @work.track.parts
        return [] if parts.empty? || @order.links.empty?

        parts.each_with_index.filter_map { |part, i| compare(part, i == parts.size - 1) }
      end

      def compare((name, from, to), last)
        inside = @order.links.select { |placed| placed.start_beat.between?(from, to) }
        return if inside.empty?

        ends = inside.last.start_beat + inside.last.link.beats - 1
        difference = (to - ends).to_i
        return if difference.zero? || (last && difference.positive? && @work.track.length_seconds)

        Misfit.new(
          kind: difference.positive? ? :part_longer : :part_shorter,
          count: from,
          amount: difference.abs,
          subject: name
        )
      end
    end
  end
end
