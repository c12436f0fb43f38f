# frozen_string_literal: true

module Core
  module Joins
    # How one state of the body (or of the counts, groups, tempo …) agrees over a join.
    # state: which; verdict: :fits, :not_written (nothing to compare yet), :caution, :question or :clash; leaving,
    # entering: Movement::Known on either side; counts: counts there are to get from one to the other (Rational); reason
    # and facts: for whoever words it.
    # mends: [Mend], tried, each of which makes this finding fit.
    class Finding < Values::Value.of(
      :state, :verdict, :leaving, :entering, counts: 0r, reason: nil, facts: {}.freeze, mends: [].freeze
    )
      VERDICTS = %i[fits not_written caution question clash].freeze
      NOTHING = Movement::Known::NOT_STATED

      # The worst verdict of several findings; :fits of none.
      def self.worst(findings) = findings.map(&:verdict).max_by { |verdict| VERDICTS.index(verdict) } || :fits

      # Whether both sides agree.
      def fits? = verdict == :fits

      # Whether one side says nothing yet.
      def unwritten? = verdict == :not_written

      # Whether there is nothing that anybody would have to do about it.
      def quiet? = fits? || unwritten?

      # Whether they cannot be danced one after the other.
      def clash? = verdict == :clash

      # Whether somebody has to say what nobody has stated.
      def question? = verdict == :question
    end
  end
end
