# frozen_string_literal: true

module App
  module Piece
    # Who may do what to a piece.
    class Policy
      def initialize(member, piece)
        @member = member
        @piece = piece
      end

      def see? = @member.studio_id == @piece.studio_id
      def direct? = see? && @member.director? && !@piece.archived?
      def tick? = see? && !@piece.archived?
      def archive? = see? && @member.director?
    end
  end
end
