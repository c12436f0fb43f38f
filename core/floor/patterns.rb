# frozen_string_literal: true

module Core
  module Floor
    # Usual formations as points [x, y] in metres around their middle, the front towards the audience (smaller y).
    # Neighbours are `spacing` apart (in a circle and an arc along the chord).
    #
    #   Patterns.points("wedge", 3, spacing: 1.0)  # => [[0.0, -0.5], [-0.5, 0.5], [0.5, 0.5]] (about)
    module Patterns
      NAMES = %w[lines staggered arc circle cluster wedge scattered].freeze
      PER_LINE = 6

      module_function

      # count: dancers; per_line: dancers a line, for lines; random: for scattered. Raises ValueError for an unknown
      # name.
      def points(name, count, spacing: Formation::SPACING, per_line: nil, random: Random.new(1))
        unless NAMES.include?(name)
          raise ValueError.new("pattern", "must be one of #{NAMES.join(', ')}, got #{name.inspect}")
        end
        return [[0.0, 0.0]].first(count) if count < 2

        middle(make(name, count, spacing, per_line || [PER_LINE, count].min, random))
      end

      def make(name, count, spacing, per_line, random)
        case name
        when "lines" then rows(count, per_line, spacing, 0.0)
        when "staggered" then rows(count, per_line, spacing, 0.5)
        when "arc" then arc(count, spacing)
        when "circle" then circle(count, spacing)
        when "cluster" then cluster(count, spacing)
        when "wedge" then wedge(count, spacing)
        else scattered(count, spacing, random)
        end
      end

      # Lines behind each other; every other one moved sideways by a share of the spacing.
      def rows(count, per_line, spacing, shift)
        (0...count).each_slice(per_line).with_index.flat_map do |line, row|
          left = -(line.size - 1) / 2.0
          line.each_index.map { |i| [(left + i + (row.odd? ? shift : 0)) * spacing, row * spacing] }
        end
      end

      # Half a circle that opens towards the audience.
      def arc(count, spacing)
        angle = Math::PI / (count - 1)
        radius = spacing / (2 * Math.sin(angle / 2))
        Array.new(count) { |i| [-radius * Math.cos(i * angle), radius * Math.sin(i * angle)] }
      end

      def circle(count, spacing)
        angle = 2 * Math::PI / count
        radius = spacing / (2 * Math.sin(angle / 2))
        Array.new(count) { |i| [radius * Math.sin(i * angle), -radius * Math.cos(i * angle)] }
      end

      # As close together as the spacing allows: six around one, twelve around these.
      def cluster(count, spacing)
        found = [[0.0, 0.0]]
        ring = 0
        found.concat(hexagon(ring += 1, spacing)) while found.size < count
        found.first(count)
      end

      def hexagon(ring, spacing)
        corners =
          Array.new(7) do |i|
            [Math.sin(i * Math::PI / 3) * ring * spacing, -Math.cos(i * Math::PI / 3) * ring * spacing]
          end
        corners.each_cons(2)
          .flat_map do |a, b|
            Array.new(ring) { |i| [a[0] + ((b[0] - a[0]) * i / ring), a[1] + ((b[1] - a[1]) * i / ring)] }
          end
      end

      # One in front, two behind, three behind these.
      def wedge(count, spacing)
        row = 0
        found = []
        until found.size >= count
          found.concat(Array.new(row + 1) { |i| [(i - (row / 2.0)) * spacing, row * spacing * 0.9] })
          row += 1
        end
        found.first(count)
      end

      # Anywhere, but never closer than the spacing: points are drawn until they have room; the field grows when it is
      # full.
      def scattered(count, spacing, random)
        side = Math.sqrt(count) * spacing * 1.35
        found = []
        until found.size == count
          point =
            (0...200).lazy
              .map { [random.rand * side, random.rand * side * 0.8] }
              .find { |x, y| found.none? { |a, b| Math.hypot(a - x, b - y) < spacing } }
          point ? found << point : side *= 1.1
        end
        found
      end

      # Moved so that the middle of their extent is 0, 0; to the centimetre.
      def middle(points)
        across, deep = points.transpose.map { |values| values.minmax.sum / 2.0 }
        points.map { |x, y| [(x - across).round(2), (y - deep).round(2)] }
      end
      private_class_method :make, :rows, :arc, :circle, :cluster, :hexagon, :wedge, :scattered, :middle
    end
  end
end
