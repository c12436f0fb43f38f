# frozen_string_literal: true

module Core
  module Movement
    # Where two repeats of one section part: the first eight and count that are danced differently, mirroring undone.
    # alike: counts they share before it.
    class Fork < Values::Value.of(:section, :links, :row, :count, :alike)
      # first, second: [Line] as danced; mirrored: whether each is on the other side. nil when they never part.
      def self.between(first, second, section:, links:, mirrored: [false, false])
        plain =
          [first, second].zip(mirrored).map { |lines, turned| turned ? lines.map { |line| Mirror.line(line) } : lines }
        size = plain.map(&:size).max
        row = (0...size).find { |i| plain[0][i].nil? || !plain[0][i].same?(plain[1][i]) } or return
        new(
          section:,
          links:,
          row: row + 1,
          count: count(plain[0][row], plain[1][row]),
          alike: plain[0].first(row).sum(&:counts)
        )
      end

      # The first count on which the two lines differ.
      def self.count(one, other)
        return 1 unless one && other

        moves = one.moves.zip(other.moves).find { |a, b| b.nil? || !a.same?(b) } || [other.moves[one.moves.size]]
        moves.compact.filter_map(&:count).min || 1
      end
      private_class_method :count
    end
  end
end
