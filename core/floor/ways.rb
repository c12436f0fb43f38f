# frozen_string_literal: true

module Core
  module Floor
    # Everybody's way from one formation to another on so many counts, straight and even. Pace is comfortable up to 0.6
    # m a count and fast up to 1.2 at 110 beats a minute (the handbook's figures, scaled by the tempo).
    class Ways
      NEAR = 0.8
      # metres; pace: metres a count (nil without counts); verdict: :fits, :caution or :clash.
      Way = Struct.new(:person, :from, :to, :metres, :pace, :verdict, keyword_init: true)

      # counts: counts there are to go; bpm: beats a minute; beats: beats a count; wheels: ids of those in wheelchairs.
      def initialize(from, to, counts:, bpm: 110, beats: 1, wheels: [])
        @wheels = wheels
        @from = from
        @to = to
        @counts = counts.to_f
        @comfortable = 0.6 * 110 / bpm * beats
        @both = from.people & to.people
      end

      # [Way] of all who stand in both, longest first.
      def all = @all ||= @both.map { |person| way(person) }.sort_by { |way| [-way.metres, way.person.to_s] }

      # Metres of the longest way; 0.0 where nobody moves.
      def longest = all.first&.metres || 0.0

      # The worst of all ways: :fits, :caution or :clash.
      def verdict = all.map(&:verdict).max_by { |verdict| %i[fits caution clash].index(verdict) } || :fits

      # Counts in which the longest way is comfortable.
      def comfortable_counts = (longest / @comfortable).ceil

      # Pairs whose ways pass closer than NEAR metres although they begin and end further apart: [[a, b, metres, share
      # of the way], …].
      def near_passes
        @both.combination(2).filter_map { |a, b| pass(a, b) }.sort_by { |found| found[2] }
      end

      # Where somebody is after a share (0 to 1) of the way: [x, y].
      def at(person, share)
        from, to = [@from, @to].map { |formation| formation.spots[person] }
        [from.x + ((to.x - from.x) * share), from.y + ((to.y - from.y) * share)]
      end

      private

      def way(person)
        from, to = [@from, @to].map { |formation| formation.spots[person] }
        metres = from.distance(to)
        Way.new(
          person:,
          from:,
          to:,
          metres: metres.round(2),
          pace: @counts.positive? ? (metres / @counts).round(2) : nil,
          verdict: judge(metres)
        )
      end

      def judge(metres)
        return :fits if metres <= (@comfortable * @counts) + 0.05

        metres <= (@comfortable * 2 * @counts) + 0.05 && @counts.positive? ? :caution : :clash
      end

      # The closest point of two even, straight ways: the least of a square in the share of the way.
      def pass(one, other)
        start = difference(one, other, 0)
        drift = difference(one, other, 1).zip(start).map { |a, b| a - b }
        speed = drift.sum { |d| d * d }
        return if speed.zero?

        share = (-start.zip(drift).sum { |s, d| s * d } / speed).clamp(0.0, 1.0)
        metres = Math.hypot(*difference(one, other, share))
        ends = [0, 1].map { |at| Math.hypot(*difference(one, other, at)) }.min
        near = near(one, other)
        [one, other, metres.round(2), share.round(3)] if metres < near && ends >= near
      end

      # A wheelchair is half its width more to each side.
      def near(one, other) = NEAR + ([one, other].count { |who| @wheels.include?(who) } * Formation::CHAIR / 2)

      def difference(one, other, share) = at(one, share).zip(at(other, share)).map { |a, b| a - b }
    end
  end
end
