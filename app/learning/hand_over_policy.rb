# frozen_string_literal: true

module App
  module Learning
    # A director, or the choreographer whose queue it is, gives it into other hands.
    class HandOverPolicy
      def initialize(member, person)
        @member = member
        @person = person
      end

      def give?
        return false unless @member.studio_id == @person.studio_id

        @member.director? || (@member.role == "choreographer" && @member.person_id == @person.id)
      end
    end
  end
end
