# frozen_string_literal: true

module App
  module Learning
    # Who may sign something off: a director, whoever teaches it, and until a day whoever looks after their queue.
    class SignOffPolicy
      # order: Core::Piece::Order of the piece the items belong to.
      def initialize(member, piece, order, today)
        @member = member
        @piece = piece
        @order = order
        @today = today
      end

      def item?(item)
        return false unless @member.studio_id == @piece.studio_id && !@piece.archived?

        direct? || own?(item)
      end

      # Whether it waits for them rather than for whoever directs.
      def own?(item) = teachers(item).intersect?(mine)

      private

      def direct? = @member.director?

      # Ids of choreographers whose queue this is.
      def mine
        @mine ||= [
          (@member.person_id if @member.role == "choreographer"),
          *@member.studio.hand_overs.holding(@today).where(membership_id: @member.id).pluck(:person_id)
        ].compact
      end

      def teachers(item) = sections(item).flat_map(&:teachers)

      # A join is of both its sides.
      def sections(item)
        first = item.links.first
        (item.kind == :join ? [first, first + 1] : [first]).map { |index| @order.links[index - 1].section }
      end
    end
  end
end
