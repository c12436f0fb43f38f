# frozen_string_literal: true

module Core
  module Movement
    # A group of words between counts, read as moves (without their counts) and as what is said of the body beside them.
    # Unknown words are kept and do nothing to the feet.
    class Phrase
      # moves: [Move]; entry, exit: what is stated of the beginning and the end; lead: the foot that begins; note:
      # whether they are words about how, and no movement; stated: places of the tokens that say something of the body;
      # strange: of those that nobody knows.
      Found = Struct.new(:moves, :entry, :exit, :lead, :note, :stated, :strange, keyword_init: true)
      BEGINS = "(?:starting|start|starts|begin|begins|beginning|leading|lead)(?: again)?(?: with| on| off| by| from)*" \
               "(?: the| your| crossing| stepping)*"
      FOOT = "(?<side>right|left)(?: (?:foot|leg|one))?(?: (?:over|behind)(?: the| your)? (?:right|left))?"
      FROM = "from (?:the |your )*(?<side>right|left)(?: foot| leg)?(?! (?:side|corner|wing|wall|shoulder|hip|to)\\b)"
      DOING = "(?: crossing| stepping| going| touch(?:es|ing)?| steps| goes| kick(?:s|ing)?)?"
      FIRST = "#{BEGINS} #{FOOT}(?: first)?|#{FOOT}#{DOING} " \
              "(?:first|starts|start|leads|begins)|#{FROM}".freeze
      LEAD = /\b(?:#{FIRST})\b(?! \w* ?(?:arm|hand))/
      ROW_OF_SIDES = /(?:[\s,]+(?:right|left|rt|lt|lft|r|l)(?![[:alpha:]]))+\s*\z/i
      # What it is like, and not what it is: "like a waltz".
      LIKE = /\A(?:its |just |almost |a bit |sort of |kind of )*like (?:a|an|the|youre|when|its)\b/
      FREE_FEET = %i[weight].freeze

      include Facts
      include LeftOpen
      include Likeness
      include Stated

      # tokens: Tokens::Token of words; last: the foot that was named last; first: whether nothing was danced before;
      # after: :upper or :gesture, what the move before was.
      def initialize(tokens, vocabulary, last: nil, first: false, after: nil)
        @tokens = tokens
        @vocabulary = vocabulary
        @last = last
        @first = first
        @after = after
        @words = Lexicon.words(tokens.map(&:text))
      end

      def found
        @found ||= begin
          folded = unlike(@words.map(&:first))
          @lead = take_lead(folded)
          @said = Statements.of(folded.map(&:to_s))
          @said.each { |said| folded.fill(nil, said.at, said.size) }
          @elements = Elements.new(folded, @vocabulary).all
          @acts = Acts.new(@elements, @vocabulary, after: @after).all
          result(folded).tap do |found|
            found.stated = places { |at| folded[at].nil? }
            found.strange = @elements.select { |each| each.kind == :unknown }.map { |each| token_of(each.at) }
          end
        end
      end

      private

      def places(&) = @words.each_index.select(&).map { |at| token_of(at) }.uniq

      def take_lead(folded)
        match = LEAD.match(folded.join(" ")) or return
        at = match.pre_match.count(" ")
        folded.fill(nil, at, match[0].strip.count(" ") + 1)
        match[:side].to_sym
      end

      def result(folded)
        @facts = { entry: {}, exit: {} }
        return Found.new(moves: [], **@facts, lead: @lead, note: true) if advice?(folded)

        hand_out(@acts)
        moves = @acts.each_with_index.flat_map { |act, i| build(act, text(act, i)) }
        moves = moves.compact
        moves << Move.new(text: words, step: "close", kind: :step) if moves.empty? && in_again?(folded)
        moves << Move.new(text: words, step: "feet together", kind: :step) if both?(folded, moves)
        moves = [Move.new(text: words, kind: :state, doubts: %i[weight])] if centre?(folded)
        moves = [Move.new(text: words, kind: :unknown)] if moves.empty? && named?(folded)
        moves = with_statements(moves)
        Found.new(moves:, **@facts, lead: @lead, note: moves.empty?)
      end

      # "walk walk R L": as many feet as there are steps, one for each.
      def hand_out(acts)
        acts.chunk_while { |one, two| one.step == two.step && one.foot? && two.foot? }.each do |alike|
          *others, last = alike
          next unless others.any? && others.all? { |act| act.sides.empty? } && last.sides.size == alike.size

          alike.zip(last.sides) { |act, side| act.sides = [side] }
        end
      end

      # Words about how it is danced.
      def advice?(folded)
        return false if only_part?(folded)
        return true if folded.compact.join(" ").match?(LIKE) && @acts.all? { |act| act.sides.empty? }

        @said.empty? && @lead.nil? && @acts.none?(&:foot?) && folded.compact.join(" ").match?(Lexicon::ADVICE)
      end

      # The typed words of an act, up to where the next begins.
      def text(act, index)
        from = index.zero? && @said.none? { |said| said.at < act.from && alone?(said) } ? 0 : token_of(act.from)
        following = @acts[index + 1]
        to = following ? token_of(following.from) : @tokens.size
        @tokens[from...[to, from + 1].max].to_a.map(&:text).join(" ")
      end

      def token_of(word) = @words[word]&.last || @tokens.size

      def build(act, text)
        return upper(act, text) if act.upper?
        return unknown(act, text) if act.step.nil?
        return [Move.new(text:, step: "heel drop", kind: :step)] if both_heels?(act, text)

        return [Move.new(text:, step: "hold", kind: :hold)] if balanced?(act, text)
        return [turned_on(act, text)] if act.on && act.sides.one? && ["pivot turn", "turn"].include?(act.step.name)

        sides = sides_of(act)
        repeats(act.step, sides).each_with_index.map do |own, i|
          one(act, own, own.size < sides.size ? apart(act, own, i, text) : text)
        end
      end

      # The words of one of several steps that were said as one.
      def apart(act, own, index, text)
        return named(act.step, own) if index.positive? || plain?(act)

        text.sub(ROW_OF_SIDES, " #{own.first == :right ? 'R' : 'L'}")
      end

      def sides_of(act)
        sides = act.sides
        sides = [] if act.toward && act.step.each
        sides = [@last] if sides.empty? && @last && its?(act)
        return sides unless act.on && act.step.foot == :free && act.step.weights.empty?

        sides.map { |side| Lexicon::OTHER.fetch(side) }
      end

      # "kick L, put it down", "step on it": the foot. What is put down after anything else is in the hands.
      def its?(act)
        return @after == :gesture if act.step.foot == :put

        act.it && act.step.foot?
      end

      def upper(act, text)
        name = act.step&.name || Lexicon::GENERIC.fetch(act.layer)
        [Move.new(text:, step: name, kind: :step, layer: act.layer,
                  doubts: act.layer == :head ? [] : act.doubts & [:facing])]
      end

      # Words that nobody knows, or that leave things open.
      def unknown(act, text)
        return [nil] if act.unknown.empty? && act.doubts.empty?

        [Move.new(text:, kind: :unknown, doubts: act.doubts.uniq, side: act.sides.first)]
      end

      # "step R L R" is three steps; "ball-change R L" is one with both feet said.
      def repeats(step, sides)
        return [sides] if sides.size <= 1 || sides.size == step.weights.size

        sides.zip
      end

      # Nothing but sides beside the step's name: its repeats can be named anew without losing a word.
      def plain?(act) = act.ways.empty? && act.unknown.empty? && act.amount.nil? && act.noun.nil?

      def named(step, own) = [step.name, own.first == :right ? "R" : "L"].join(" ")

      def one(act, sides, text)
        step = act.step
        Move.new(
          text:, step: step.name, kind: step.kind, side: sides.first,
          feet: (sides.size > 1 ? sides : []).freeze,
          length: step.counts > 1 ? step.counts * 12 : nil, usual: step.counts > 1,
          turn: act.face ? 0 : turn(act, act.round || sides.first), facing: act.face, level: level(act),
          travel: travel(act),
          layer: step.kind == :free ? free_layer : step.layer, hands: hands(step),
          doubts: (own_doubts(act) + act.doubts + astray(act) + landing(act, sides) + unheard(act)).uniq
        )
      end
    end
  end
end
