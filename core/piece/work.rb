# frozen_string_literal: true

module Core
  module Piece
    # A whole group piece: its track, groups, sections (also unplaced ones) and links in running order.
    # groups: [[id, name], …]; checking: what its joins are checked for; count_in: counts called before a start point.
    class Work < Values::Value.of(:title, track: Music::Track.new, groups: [].freeze, sections: [].freeze,
                                          links: [].freeze, checking: Checking.new,
                                          count_in: Music::StartPoint::COUNT_IN)
      # Sections in no link: written, but not in the run.
      def unplaced = sections.reject { |section| placed_ids.include?(section.id) }

      # The links on counts and music: RunningOrder.
      attr_reader :order

      private

      def settle = @order = RunningOrder.new(self)

      def placed_ids = links.map { |link| link.section.id }
    end
  end
end
