# frozen_string_literal: true

module App
  module Steps
    # A section belongs to its choreographer; directors may edit all.
    class Policy
      def initialize(member, section)
        @member = member
        @section = section
      end

      def edit?
        return false if @member.studio_id != @section.studio_id || @section.piece.archived?

        @member.director? ||
          (@member.role == "choreographer" && !@member.person_id.nil? && @member.person_id == @section.choreographer_id)
      end
    end
  end
end
