# frozen_string_literal: true

module Core
  module Movement
    # A group of words between counts, read as one or more moves (without their counts).
    # Unknown words are kept and do nothing to the feet.
    class Phrase
      SIDES = { "r" => :right, "right" => :right, "rt" => :right, "l" => :left, "left" => :left, "lt" => :left }.freeze
      AMOUNTS = {
        "half" => 4,
        "quarter" => 2,
        "full" => 8,
        "eighth" => 1,
        "12" => 4,
        "14" => 2,
        "34" => 6,
        "360" => 8,
        "180" => 4,
        "90" => 2,
        "double" => 16
      }.freeze
      FACINGS = {
        "front" => 1,
        "audience" => 1,
        "front right" => 2,
        "right" => 3,
        "back right" => 4,
        "back" => 5,
        "upstage" => 5,
        "back left" => 6,
        "left" => 7,
        "front left" => 8
      }.freeze
      TRAVEL = {
        "forward" => :forward,
        "fwd" => :forward,
        "back" => :back,
        "bk" => :back,
        "backward" => :back,
        "backwards" => :back,
        "side" => :side,
        "diagonal" => :diagonal
      }.freeze
      WHERE = [FACINGS, TRAVEL, AMOUNTS].freeze
      FILLER = %w[to the a on and with ft foot of in into it your corner wall pls please].freeze
      LAYERS = {
        "arms" => :arms,
        "arm" => :arms,
        "hands" => :arms,
        "head" => :head,
        "eyes" => :head,
        "feet" => :feet,
        "body" => :body,
        "voice" => :breath
      }.freeze

      # tokens: Tokens::Token of words.
      def initialize(tokens, vocabulary)
        @words = tokens.map(&:text)
        @folded = tokens.map(&:value)
        @vocabulary = vocabulary
      end

      # [Move], positions unset; each carries its usual length (twelfths) where one is known.
      def moves
        @words.empty? ? [] : split.flat_map { |step, words, text| build(step, words, text) }
      end

      private

      # [[step or nil, its words after the name, its whole text], …]
      def split
        found = []
        loose = []
        at = 0
        while at < @words.size
          step, size = opening(at, found.last)
          if step
            found << [step, loose, text(at - loose.size, loose.size + size)]
            loose = []
            at += size
          else
            found.empty? ? loose += [folded[at]] : grow(found.last, at)
            at += 1
          end
        end
        found.empty? ? [[nil, folded, @words.join(" ")]] : found
      end

      # A step that starts here; a word that only says where to (back, up) belongs to the step before it.
      def opening(at, before)
        step, size = @vocabulary.match(folded, at)
        return unless step

        unless before && size == 1 &&
            (WHERE.any? { |words| words.key?(folded[at]) } || belongs?(before[0], step, folded[at]))
          [step, size]
        end
      end

      # A word that says which layer is free, or what the arms do, belongs to the step before it.
      def belongs?(before, step, word)
        return false unless before

        (before.kind == :free && LAYERS.key?(word)) || (before.name == "arms" && step.layer != :feet)
      end

      def grow(entry, at)
        entry[1] += [folded[at]]
        entry[2] = "#{entry[2]} #{@words[at]}"
      end

      attr_reader :folded

      def text(from, size) = @words[from, size].join(" ")

      def build(step, words, text)
        return [Move.new(text:, **unknown(words))] unless step

        sides = words.filter_map { |word| SIDES[word] }
        sides = [] if facing_words?(step, words)
        repeats(step, sides).each_with_index.map do |own, i|
          one(step, words, own, own.size < sides.size && (i.positive? || plain?(words)) ? named(step, own) : text)
        end
      end

      # "step R L R" is three steps; "ball-change R L" is one with both feet said.
      def repeats(step, sides)
        return [sides] if sides.size <= 1 || sides.size == step.weights.size

        sides.zip
      end

      # Nothing but sides beside the step's name: its repeats can be named anew without losing a word.
      def plain?(words) = words.all? { |word| SIDES.key?(word) }

      def named(step, own) = [step.name, own.first == :right ? "R" : "L"].join(" ")

      def one(step, words, sides, text)
        amount = words.filter_map { |word| AMOUNTS[word] }.first
        Move.new(
          text:,
          step: step.name,
          kind: step.kind,
          side: sides.first,
          feet: (sides.size > 1 ? sides : []).freeze,
          length: step.counts > 1 ? step.counts * 12 : nil,
          turn: turn(step, amount, sides.first),
          facing: facing(step, words),
          level: step.level,
          travel: travel(words),
          layer: layer(step, words),
          hands: hands(step, words)
        )
      end

      def turn(step, amount, side)
        return signed(step.turn, side) if step.turn != 0 && amount.nil?
        return 0 unless step.name == "turn" || step.turn != 0

        if amount && side
          signed(amount * (step.turn.negative? ? -1 : 1), side)
        else
          unsaid(amount)
        end
      end

      # A turn of whole rounds ends where it began, whichever way; any other without a side or an amount is not known.
      def unsaid(amount) = amount && (amount % 8).zero? ? amount : nil

      def signed(eighths, side) = side == :left ? -eighths : eighths

      def facing_words?(step, words) = step.name == "face" && words.any?

      def facing(step, words)
        return unless step.name == "face"

        said =
          words
            .reject { |word| FILLER.include?(word) }
            .map { |word| { "r" => "right", "l" => "left", "bk" => "back" }.fetch(word, word) }
            .first(2)
            .join(" ")
        FACINGS[said] || FACINGS[said.split.first.to_s]
      end

      # What the hands hold afterwards: "pick up the grey cloth" => "grey cloth", "put it down" => "".
      def hands(step, words)
        return "" if step.hands == :drop

        step.hands &&
          (
            step.holds ||
              words
                .reject { |word| FILLER.include?(word) || SIDES.key?(word) }
                .join(" ")
                .then { |said| said.empty? ? "prop" : said }
          )
      end

      def travel(words) = words.filter_map { |word| TRAVEL[word] }.first

      def layer(step, words)
        return words.filter_map { |word| LAYERS[word] }.first || step.layer if step.kind == :free

        words.intersect?(%w[arm arms hand hands]) && step.hands.nil? ? :arms : step.layer
      end

      def unknown(words)
        {
          side: words.filter_map { |word| SIDES[word] }.first,
          layer: words.intersect?(%w[arm arms hand hands]) ? :arms : :feet
        }
      end
    end
  end
end
