# frozen_string_literal: true

module App
  module Reading
    # Stretches of a piece that were run: as the room recorded it, else by what people were told for evenings behind us.
    # That something was danced is said only of what was recorded, or of evenings that somebody confirmed.
    class RunTwice
      TWICE = 2

      def initialize(piece, order, today)
        @piece = piece
        @order = order
        @today = today
      end

      # [Range of link indexes], one of each run.
      def ranges = @ranges ||= recorded.presence || told(evenings)

      # The same, of those that are sure to have been danced.
      def danced = @danced ||= recorded.presence || told(evenings.where.not(confirmed_at: nil))

      # Whether all of an item (Core::Learning::Item) was danced in two of them.
      def danced?(item)
        danced.count { |run| item.links.any? { |at| run.cover?(at) && (item.kind != :join || run.cover?(at + 1)) } } >=
          TWICE
      end

      private

      def recorded
        @recorded ||= Records::Mapping::Runs.new(@piece, @order).all.filter_map do |run|
          links = @order.links.select { |placed| run.danced?(placed.start_count, placed.start_count) }.map(&:index)
          links.first..links.last if links.any?
        end
      end

      def evenings = @piece.studio.rehearsals.standing.where(date: ...@today)

      def told(evenings)
        @piece.studio.slots.joins(:plan)
          .where(kind: %w[chain run], plans: { piece_id: @piece.id, replaced_at: nil })
          .where(rehearsal_id: evenings.select(:id))
          .where.not(id: @piece.studio.evening_steps.standing.where(kind: "drop").select(:slot_id))
          .where.not(plans: { published_at: nil })
          .pluck(:from_link, :to_link)
          .filter_map { |from, to| (from..to) if from && to }
      end
    end
  end
end
