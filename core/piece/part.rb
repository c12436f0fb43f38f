# frozen_string_literal: true

module Core
  module Piece
    # What one group does in a section: when it starts (counts after the link's start), how long it holds
    # just before and after its moves.
    class Part < Values::Value.of(:group, offset: 0, hold_before: 0, hold_after: 0)
      def length(section_counts) = offset + section_counts + hold_after
    end
  end
end
