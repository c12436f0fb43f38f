# frozen_string_literal: true

module Core
  module Movement
    # Where every word of a typed eight went: to a move, a cue, a note, what is stated, or nowhere. What went nowhere is
    # kept as words, and nothing is claimed behind it.
    #
    #   Accounting.new("step R blurbly").tap { |all| all.take("step R") }.left   # => [[2, "blurbly"]]
    class Accounting
      WORD = /[\p{L}\p{N}½¼¾&']+/
      NUMBER = /[\d½¼¾&]/
      private_constant :WORD, :NUMBER

      # typed: the eight as it was typed.
      def initialize(typed)
        @words = typed.scan(WORD)
        @taken = []
        @open = @words.each_index.group_by { |i| folded(@words[i]) }
      end

      # Takes the words of a text off the account, each where it was typed first; answers their places.
      def take(text)
        text.to_s.scan(WORD).filter_map { |word| @open[folded(word)]&.shift }.each { |at| @taken << at }
      end

      # The words that were taken so far, as typed.
      def taken = @taken.sort.map { |at| @words[at] }

      # [[place, text], …] what nobody took, words beside each other in one. Numbers are counts or amounts, which the reader
      # accounts for itself; small words tie others together.
      def left
        open = @open.values.flatten.sort.reject { |i| idle?(@words[i]) }
        runs = open.slice_when { |one, two| one.succ != two }
        runs.map { |run| [run.first, run.map { |i| @words[i] }.join(" ")] }
      end

      private

      def folded(word) = word.downcase

      def idle?(word)
        return true if word.match?(NUMBER)

        Lexicon.words([word]).all? { |folded, _| Lexicon.small?(folded) || Lexicon.idle?(folded) }
      end
    end
  end
end
