# frozen_string_literal: true

module Core
  module Movement
    class Counting
      # Half counts that "and" makes, and numbers that say which feet.
      module Joined
        private

        # "and 8" before anything else, or after a comma, is the half count before it.
        def and_count
          return last_and if trailing?

          given = called(1)
          opens = @at.zero? || %i[comma number].include?(token(-1).kind)
          return keep unless given && opens && token(1).kind == :number && !amount_at?(1, given)

          @found << Token.new(:number, "&#{given}", nil)
          @last = given
          @at += 2
        end

        # "one and two and three and: left right …": the half count after it.
        def trailing?
          return false unless @found.last&.kind == :number && [nil, :comma].include?(token(1)&.kind)

          @found.last.text.include?("&") && @found.last.text.match?(/\d\z/)
        end

        def last_and
          last = @found.pop
          @found << Token.new(:number, "#{last.text}&", nil)
          @at += 1
        end

        # "land 2 ft": both, and no amount of them.
        def two_feet
          @found << Token.new(:word, token.text, "2")
          @at += 1
        end
      end
    end
  end
end
