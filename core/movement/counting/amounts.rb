# frozen_string_literal: true

module Core
  module Movement
    class Counting
      # Numbers that say how many or how long: "8 walks", "for 4 counts", "over 6", "march four".
      module Amounts
        private

        # "hop twice"; "do that twice" is a repeat of its own.
        def often
          return keep if %w[that this it all same].include?(@found.last.value)

          @found << Token.new(:times, token.text, OFTEN.fetch(value))
          @at += 1
        end

        def amount_at?(by, given)
          @at += by
          amount?(given)
        ensure
          @at -= by
        end

        # Digits that say how many or how long.
        def amount?(given)
          return true if given.zero? || given > 16 || (given > 1 && value(1).match?(TIMES)) || of_them?
          return true if (value(1).match?(NOUNS) || steps_before?(given)) && !CALLED.include?(value(-1))
          return lasting?(given) if LASTING.include?(value(-1))
          return false if CALLED.include?(value(-1)) || given == @last + 1

          how_many?(given)
        end

        def of_them? = value(1) == "of" && %w[them these those each].include?(value(2))

        # Whether a further count follows before the next comma: then this is one too.
        def counted_later?(given)
          part = @tokens[(@at + 1)..].take_while { |each| each.kind != :comma }
          later = part.any? { |each| %i[number range].include?(each.kind) && each.text.to_i > given }
          later && !part.first&.value.to_s.match?(NOUNS)
        end

        def lasting?(_given)
          return true if value(-1) == "for"

          !(%i[number range].include?(@tokens.first.kind) && token(1)&.kind == :word)
        end

        def how_many?(given)
          following = token(1)
          return false unless following&.kind == :word && given > 1 && !called_next?(given)
          return true if HOW.include?(following.value) || steps_next? || many_of?(given)

          plural?(following) && (given <= @last || @last.zero?)
        end

        # Whether it is the next count of a line whose counts stand first, or further ones follow.
        def called_next?(given)
          given > @last && ((@last.positive? && counts_first?) || counted_later?(given))
        end

        # "four step touches": several words that name one step.
        def steps_next?
          Vocabulary::DEFAULT.several?((1..4).map { |by| value(by) })
        end

        def plural?(token) = token.value.match?(/[^s]s\z/) || %w[feet ft].include?(token.value)

        # "march four", "walk forward 4": as many.
        def steps_before?(given)
          at = @found.rindex { |each| !(each.kind == :word && WAYS.include?(each.value)) }
          at = over_comma(at) if at && @found[at].kind == :comma && @found.size > at + 1
          walked = at && @found[at].kind == :word && WALKS.include?(@found[at].value)
          walked && given != @last + 1 && given > 1 && ends_here?
        end

        # "walk forward 4, back 4".
        def over_comma(index)
          before = @found[0...index].rindex { |each| !(each.kind == :word && WAYS.include?(each.value)) }
          before -= 1 while before && before >= 0 && @found[before].kind == :amount
          before = @found[0..before].rindex { |each| !WAYS.include?(each.value) } if before && before >= 0
          before && before >= 0 ? before : index
        end

        # "runs 4 to the corner" ends at the amount; in "runs 4 to knees" what follows is a step of its own.
        def ends_here?
          return true if token(1).nil? || token(1).kind == :comma

          AFTER_STEPS.include?(value(1)) && Vocabulary::DEFAULT.find("#{value(1)} #{value(2)}").nil?
        end

        # "seven light little runs": how they are, before what they are.
        def many_of?(given)
          return false unless given > 1 && (given <= @last || @last.zero?)

          how = (1..3).find { |by| token(by)&.kind != :word || !Lexicon::QUALITY.include?(value(by)) }
          !how.nil? && how > 1 && token(how)&.kind == :word && plural?(token(how))
        end

        def amount_or_word(given)
          return amount(given) if steps_before?(given) || many_of?(given)

          following = value(1)
          return amount(given) if following.match?(NOUNS) || following.match?(TIMES) || HOW.include?(following)
          return amount(given) if plural_next? || steps_next? || value(-1) == "for"

          keep
        end

        def amount(given)
          noun = value(1).match?(NOUNS)
          long = noun || LASTING.include?(value(-1))
          return times(given) if value(1).match?(TIMES)

          drop_for if LASTING.include?(value(-1))
          @found << Token.new(long ? :over : :amount, @tokens[@at, noun ? 2 : 1].map(&:text).join(" "), given)
          @at += noun ? 2 : 1
        end

        def times(given)
          @found << Token.new(:times, @tokens[@at, 2].map(&:text).join(" "), given.clamp(1, 99))
          @at += 2
        end

        def drop_for = @found.last&.kind == :word && LASTING.include?(@found.last.value) && @found.pop
      end
    end
  end
end
