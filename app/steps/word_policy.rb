# frozen_string_literal: true

module App
  module Steps
    # Words are the studio's. The director adds, takes in and takes out any; a choreographer only what makes no line of
    # somebody else's read otherwise, and whatever they proposed themselves.
    class WordPolicy
      # word: Records::OwnStep.
      def initialize(member, word)
        @member = member
        @word = word
      end

      def accept? = @member.director?

      # Whether it holds at once, or is proposed.
      def settle? = @member.director? || (!change.hides_known? && change.of_others(@member).empty?)

      def remove?
        return true if @member.director?

        @word.account_id == @member.account_id && (@word.proposed? || change.of_others(@member).empty?)
      end

      private

      def change = @change ||= Reading::WordChange.new(@member.studio, @word)
    end
  end
end
