# frozen_string_literal: true

module Core
  module Movement
    class Phrase
      # Words that are taken out before the phrase is read: what something is like, which part of a foot it is.
      module Likeness
        LIKENESS = /\blike (?:a|an|the|some|when)(?: (?!(?:and|then|but|with|you|on|to|right|left)\b)\w+){1,3}/
        PART_OF_FOOT = /\b(?:the |your )?(?:ball|balls|tip|tips|edge) of (?:the |your )?(?=right\b|left\b|both\b)/
        private_constant :LIKENESS, :PART_OF_FOOT

        private

        # "arms go round like a big wheel": what it is like nobody dances.
        def unlike(folded)
          foot_itself(folded) if folded.include?("of")
          as_if(folded) if folded.include?("as")
          return folded unless folded.include?("like")

          folded.join(" ").scan(LIKENESS) do
            match = Regexp.last_match
            folded.fill(nil, match.pre_match.count(" "), match[0].strip.count(" ") + 1)
          end
          folded
        end

        # "as if you were falling": to the end of what is said.
        def as_if(folded)
          at = folded.each_cons(2).find_index { |one, two| one == "as" && %w[if though].include?(two) } or return
          folded.fill(nil, at)
        end

        # "on the ball of the left", "the toes of your right foot": that foot.
        def foot_itself(folded)
          folded.join(" ").scan(PART_OF_FOOT) do
            match = Regexp.last_match
            folded.fill(nil, match.pre_match.count(" "), match[0].strip.count(" ") + 1)
          end
        end
      end
    end
  end
end
