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

      def remove? = @member.director? || (theirs? && (@word.proposed? || change.of_others(@member).empty?))

      # Whether to offer it: all lines are read for the answer itself, which may be that it is the director's.
      def offer_removal? = @member.director? || theirs?

      private

      def theirs? = @word.account_id == @member.account_id
      def change = @change ||= Reading::WordChange.new(@member.studio, @word)
    end
  end
end
