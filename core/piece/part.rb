# frozen_string_literal: true

module Core
  module Piece
    # What one group does in a section: offset, counts from the link's start to its first move (below 0 it dovetails: it
    # enters while the link before is still going on); how long it holds just before and after its moves; mirrored, on
    # the other side from the rest. stretches: [[from, to, doing], …], counts of the link (inclusive) on which it does
    # something else than its moves: :holding, :free or :off. pauses: [[counts of the section before it, counts], …]
    # where it waits on the way. level, place, facing: where these are its own, in words.
    class Part < Values::Value.of(:group, offset: 0, hold_before: 0, hold_after: 0, mirrored: false,
                                          stretches: [].freeze, pauses: [].freeze, level: nil, place: nil, facing: nil)
      DOING = %i[moving holding free off].freeze

      # Counts from the link's start until it is done.
      def length(section_counts) = offset + section_counts + paused + hold_after

      # Counts of the link on which its moves lie: from, to.
      def moves(section_counts) = [offset + 1, offset + section_counts + paused]

      # Counts it waits on the way.
      def paused = pauses.sum(&:last)

      # The count of the section it dances on a count of the link between its first and last; nil while it waits.
      def own_count(count)
        own = count - offset
        pauses.each do |after, counts|
          break if own <= after
          return nil if own <= after + counts

          own -= counts
        end
        own
      end

      private

      def settle
        raise ValueError.new("offset", "must be -32 or more, got #{offset}") if offset < -32
        return if stretches.all? { |from, to, doing| from <= to && DOING.include?(doing) }

        raise ValueError.new(
          "stretches",
          "must each be from, to and one of #{DOING.join(', ')}, got #{stretches.inspect}"
        )
      end
    end
  end
end
