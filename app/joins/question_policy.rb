# frozen_string_literal: true

module App
  module Joins
    # Who may answer what a join asks: whoever may write the section, and the assistants.
    class QuestionPolicy
      # section: Records::Section.
      def initialize(member, section)
        @member = member
        @section = section
      end

      def answer? = Steps::Policy.new(@member, @section).edit? || assists?

      private

      def assists?
        @member.role == "assistant" && @member.studio_id == @section.studio_id && !@section.piece.archived?
      end
    end
  end
end
