# frozen_string_literal: true

module Core
  module Joins
    # Holds a seam against the rules and keeps, of the mends each offers, those that make it fall silent.
    class Examination
      RULES = [
        Rules::Weight,
        Rules::Facing,
        Rules::Level,
        Rules::Place,
        Rules::Counts,
        Rules::Groups,
        Rules::Tempo,
        Rules::Hands,
        Rules::Wheels,
        Rules::Repeat
      ].freeze
      MOST_QUESTIONS = 2
      MOST_MENDS = 4

      # rules: so that an opening or an ending can be held against some of them.
      def initialize(seam, vocabulary: Movement::Vocabulary::DEFAULT, rules: RULES)
        @seam = seam
        @vocabulary = vocabulary
        @rules = rules
      end

      # [Finding], one a state that applies, at most two of them questions.
      def findings
        @findings ||= begin
          found = @rules.filter_map { |rule| mended(rule) }
          dropped = found.select(&:question?).drop(MOST_QUESTIONS)
          found - dropped
        end
      end

      # The worst of its findings: :fits, :caution, :question or :clash.
      def verdict = Finding.worst(findings)

      private

      def mended(rule)
        asked = rule.new(@seam, vocabulary: @vocabulary)
        finding = asked.finding or return
        return finding if finding.fits?

        finding.with(mends: working(rule, asked, finding))
      end

      def working(rule, asked, finding)
        tried = asked.mends(finding).compact.lazy.select do |_, seam|
          after = rule.new(seam, vocabulary: @vocabulary).finding
          after.nil? || after.fits?
        end
        tried.map(&:first).first(MOST_MENDS)
      end
    end
  end
end
