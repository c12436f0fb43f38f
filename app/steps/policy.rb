# frozen_string_literal: true

module App
  module Steps
    # A section belongs to those who teach it; directors may edit all.
    class Policy
      def initialize(member, section)
        @member = member
        @section = section
      end

      def edit?
        return false if @member.studio_id != @section.studio_id || @section.piece.archived?

        @member.director? ||
          (@member.role == "choreographer" && @section.taught_by?(@member.person_id))
      end
    end
  end
end
