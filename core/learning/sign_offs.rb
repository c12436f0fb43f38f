# frozen_string_literal: true

module Core
  module Learning
    # What waits for somebody who teaches: what dancers report, and what was ticked up to where it counts and nobody has
    # signed off yet. In the ways of clean runs and of clips there is nothing to sign but what is reported.
    class SignOffs
      # item: what; reported: {person => rung}; ticked: [person] at a rung that counts, not signed off.
      Waiting = Struct.new(:item, :reported, :ticked, keyword_init: true) do
        def people = reported.keys | ticked
      end
      SIGNED = %w[ticks confirmed].freeze

      def initialize(items, progress)
        @items = items
        @progress = progress
      end

      # [Waiting] in running order; with nothing left out.
      def all = @items.all.filter_map { |item| waiting(item) }

      private

      def waiting(item)
        cells = @items.dancers(item).to_h { |person| [person, @progress.cell(person, item.key)] }
        reported = cells.select { |_, cell| cell.reported.positive? }.transform_values(&:reported)
        ticked = sign?(item) ? cells.reject { |_, cell| signed?(cell) }.keys : []
        Waiting.new(item:, reported:, ticked:) if reported.any? || ticked.any?
      end

      def sign?(item) = SIGNED.include?(@progress.way(item.key).name)
      def signed?(cell) = cell.signed_off || !@progress.ladder.learned?(cell.rung)
    end
  end
end
