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
      # What can only be compared where both sides say something of the body.
      OF_THE_BODY = { Rules::Weight => :weight, Rules::Facing => :facing, Rules::Level => :level }.freeze
      # What is seen without any steps.
      WITHOUT_STEPS = [Rules::Groups, Rules::Tempo].freeze
      MOST_QUESTIONS = 2
      MOST_MENDS = 4

      # rules: so that an opening or an ending can be held against some of them; steps: whether the piece's are written.
      def initialize(seam, vocabulary: Movement::Vocabulary::DEFAULT, rules: RULES, steps: true)
        @seam = seam
        @vocabulary = vocabulary
        @rules = rules
        @steps = steps
      end

      # [Finding], one a state that applies, at most two of them questions.
      def findings
        @findings ||= begin
          found = @steps && @seam.written? ? written : unwritten
          dropped = found.select(&:question?).drop(MOST_QUESTIONS)
          found - dropped
        end
      end

      # The worst of its findings: :fits, :caution, :question or :clash.
      def verdict = Finding.worst(findings)

      private

      def written = @rules.filter_map { |rule| mended(rule) }

      # Nothing is compared with nothing: neither that it fits, nor a question; only words that are there ask who is
      # meant by them.
      def unwritten
        of_the_body = OF_THE_BODY.slice(*@rules).values.map do |state|
          left, right = [@seam.leaving, @seam.entering].map do |side|
            side.says? ? side.body.public_send(state) : Finding::NOTHING
          end
          Finding.new(state:, verdict: :not_written, leaving: left, entering: right, counts: @seam.counts)
        end
        seen = (WITHOUT_STEPS & @rules).filter_map { |rule| mended(rule) }
        of_the_body + seen.reject { |finding| finding.question? && !finding.facts[:asked] }
      end

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
