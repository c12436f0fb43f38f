# frozen_string_literal: true

module Core
  module Movement
    # Where every word of a typed eight went: to a move, a cue, a note, what is stated, or nowhere. What went nowhere is
    # kept as words, and nothing is claimed behind it.
    #
    #   Accounting.new("step R blurbo").tap { |all| all.take("step R") }.left   # => [[2, "blurbo"]]
    class Accounting
      WORD = /[\p{L}\p{N}&]+(?:'[\p{L}\p{N}&]+)*/
      NUMBER = /[\d½¼¾&]/
      private_constant :WORD, :NUMBER

      # The texts that were taken, as typed.
      attr_reader :taken

      # typed: the eight as it was typed.
      def initialize(typed)
        @typed = typed
        @taken = []
      end

      # Takes the words of a text off the account.
      def take(text) = @taken << text

      # Where the texts that were taken lie among the typed words, each word where it was typed first:
      # [place or nil, …] in the order in which they were taken.
      def places
        open = words.each_index.group_by { |at| words[at].downcase }
        @taken.map { |text| text.scan(WORD).filter_map { |word| open[word.downcase]&.shift }.first }
      end

      # [[place, text], …] what nobody took, words beside each other in one. Numbers are counts or amounts, which the
      # reader accounts for itself; small words tie others together.
      def left
        spent = @taken.join(" ").downcase.scan(WORD).tally.tap { |all| all.default = 0 }
        open = words.each_index.select { |at| (spent[words[at].downcase] -= 1).negative? && !idle?(words[at]) }
        runs = open.slice_when { |one, two| one.succ != two }
        runs.map { |run| [run.first, run.map { |at| words[at] }.join(" ")] }
      end

      private

      def words = @words ||= @typed.scan(WORD)

      def idle?(word)
        return true if word.match?(NUMBER)

        Lexicon.words([word]).all? { |folded, _| Lexicon.small?(folded) || Lexicon.idle?(folded) }
      end
    end
  end
end
