# frozen_string_literal: true

module App
  module Joins
    # Who may take back what a word means: whose word it is, whoever answered, the assistants and the director.
    class WordMeaningPolicy
      # row: Records::WordMeaning.
      def initialize(member, row)
        @member = member
        @row = row
      end

      def forget?
        return false unless @member.studio_id == @row.studio_id

        @member.director? || @member.role == "assistant" || @row.account_id == @member.account_id ||
          (!@row.teacher_id.nil? && @row.teacher_id == @member.person_id)
      end
    end
  end
end
