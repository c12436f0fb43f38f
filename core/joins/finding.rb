# frozen_string_literal: true

module Core
  module Joins
    # How one state of the body (or of the counts, groups, tempo …) agrees over a join.
    # state: which; verdict: :fits, :caution, :question or :clash; leaving, entering: Movement::Known on either side;
    # counts: counts there are to get from one to the other (Rational); reason and facts: for whoever words it.
    # mends: [Mend], tried, each of which makes this finding fit.
    class Finding < Values::Value.of(
      :state, :verdict, :leaving, :entering, counts: 0r, reason: nil, facts: {}.freeze, mends: [].freeze
    )
      VERDICTS = %i[fits caution question clash].freeze
      NOTHING = Movement::Known::NOT_STATED

      def self.worst(findings) = findings.map(&:verdict).max_by { |verdict| VERDICTS.index(verdict) } || :fits

      def fits? = verdict == :fits
      def clash? = verdict == :clash
      def question? = verdict == :question
    end
  end
end
