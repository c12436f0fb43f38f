# frozen_string_literal: true

module Core
  module Movement
    # A group of words between counts, read as moves (without their counts) and as what is said of the body beside them.
    # Unknown words are kept and do nothing to the feet.
    class Phrase
      # moves: [Move]; entry, exit: what is stated of the beginning and the end; lead: the foot that begins; note:
      # whether they are words about how, and no movement.
      Found = Struct.new(:moves, :entry, :exit, :lead, :note, keyword_init: true)
      BEGINS = "(?:starting|start|starts|begin|begins|beginning|leading|lead)(?: again)?(?: with| on| off)*(?: the| your)*"
      FOOT = "(?<side>right|left)(?: (?:foot|leg|one))?"
      LEAD = /\b(?:#{BEGINS} #{FOOT}(?: first)?|#{FOOT} (?:first|starts|start|leads|begins))\b(?! \w* ?(?:arm|hand))/
      FREE_FEET = %i[weight].freeze

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
          folded = @words.map(&:first)
          @lead = take_lead(folded)
          @said = Statements.of(folded.map(&:to_s))
          @said.each { |said| folded.fill(nil, said.at, said.size) }
          @acts = Acts.new(Elements.new(folded, @vocabulary).all, @vocabulary, after: @after).all
          result(folded)
        end
      end

      private

      def take_lead(folded)
        match = LEAD.match(folded.join(" ")) or return
        at = match.pre_match.count(" ")
        folded.fill(nil, at, match[0].strip.count(" ") + 1)
        match[:side].to_sym
      end

      def result(folded)
        @facts = { entry: {}, exit: {} }
        return Found.new(moves: [], **@facts, lead: @lead, note: true) if advice?(folded)

        moves = @acts.each_with_index.flat_map { |act, i| build(act, text(act, i)) }
        moves = moves.reject(&:nil?)
        moves = with_statements(moves)
        Found.new(moves:, **@facts, lead: @lead, note: moves.empty?)
      end

      # Words about how it is danced.
      def advice?(folded)
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

        sides = sides_of(act)
        repeats(act.step, sides).each_with_index.map do |own, i|
          shown = own.size < sides.size && (i.positive? || plain?(act)) ? named(act.step, own) : text
          one(act, own, shown)
        end
      end

      def sides_of(act)
        sides = act.sides
        sides = [@last] if sides.empty? && act.it && @last && act.step.foot?
        return sides unless act.on && act.step.foot == :free && act.step.weights.empty?

        sides.map { |side| Lexicon::OTHER.fetch(side) }
      end

      def upper(act, text)
        name = act.step&.name || Lexicon::GENERIC.fetch(act.layer)
        [Move.new(text:, step: name, kind: :step, layer: act.layer)]
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
          turn: act.face ? 0 : turn(act, sides.first), facing: act.face, level: step.level, travel: travel(act),
          layer: step.kind == :free ? free_layer : step.layer, hands: hands(step),
          doubts: (step.doubts + act.doubts + astray(act)).uniq
        )
      end

      # Who goes round somewhere may face anywhere.
      def astray(act)
        %w[walk run skip gallop].include?(act.step.name) && act.ways.intersect?(%w[round around]) ? [:facing] : []
      end

      def turn(act, side)
        step = act.step
        return Turning.signed(step.turn, side) if step.turn != 0 && act.amount.nil?
        return 0 unless step.name == "turn" || step.turn != 0 || act.amount

        Turning.of(act.amount, side, against: step.turn.negative?)
      end

      def travel(act) = act.ways.filter_map { |way| Lexicon::WAYS[way] }.first

      # Which layer is left to the dancer.
      def free_layer
        words = @words.map(&:first)
        return :feet if words.intersect?(%w[foot feet steps legs])

        words.filter_map { |word| Lexicon::PARTS[word] }.first || :feet
      end

      # What the hands hold afterwards: "pick up the grey cloth" => "grey cloth", "put it down" => "".
      def hands(step)
        return step.hands && "" if step.hands != :take

        step.holds || held
      end

      def held
        said = @words.map(&:first).reject do |word|
          Lexicon.idle?(word) || Lexicon::SIDES.key?(word) || %w[pick up take grab].include?(word)
        end
        said.empty? ? "prop" : said.join(" ")
      end

      # What is said of the body holds for the move it stands behind, or by itself.
      def with_statements(moves)
        @said.reduce(moves) do |all, said|
          next all if edge(said, all)

          state(said, all)
        end
      end

      # Said of the beginning or of the end of the line.
      def edge(said, moves)
        values = { weight: said.weight, facing: (said.facing unless said.facing == :open) }.compact
        if said.ending
          @facts[:exit].merge!(values)
          return said.facing != :open
        end
        return false unless beginning?(said, moves)

        @facts[:entry].merge!(values.merge(Turning.level_of(said.level, @words.map(&:first))))
        true
      end

      def beginning?(said, moves)
        return true if said.start && (said.facing || said.level)

        @first && (said.facing || said.level) && said.facing != :open && !said.doing && @acts.none? { |act| act.from < said.at } &&
          moves.none? { |move| move.step == "turn" }
      end

      def state(said, moves)
        at = target(said, moves)
        at ? moves.dup.tap { |all| all[at] = stated(all[at], said) } : [stated(bare(said), said), *moves]
      end

      # A statement that stands before everything that is danced keeps its own words.
      def alone?(said) = @acts.none? { |act| act.from <= said.at && !act.upper? } && !edge_words?(said)
      def edge_words?(said) = said.ending || said.start

      # The move a statement stands behind; before all of them it stands alone.
      def target(said, moves)
        index = @acts.rindex { |act| act.from <= said.at && !act.upper? }
        return if index.nil? || moves.empty?

        [moves.size - 1, moves.size - 1 - (@acts.size - 1 - index)].max.clamp(0, moves.size - 1)
      end

      def bare(said)
        text = @words[said.at, said.size].map(&:last).uniq.map { |i| @tokens[i].text }.join(" ")
        return Move.new(text:, kind: :step, step: "face", layer: :body) if said.facing
        return Move.new(text:, kind: :step, step: "feet together") if said.weight == :both

        Move.new(text:, kind: :state)
      end

      def stated(move, said)
        return move.with(choice: FREE_FEET) if said.choice
        return move.with(weight: :keep) if said.none
        return move.with(weight: move.side || @last || :keep) if said.given
        return move.with(weight: @acts.flat_map(&:sides).last || @last) if said.same

        move = move.with(weight: said.weight) if said.weight
        return move.with(turn: 0, facing: nil, doubts: move.doubts | [:facing]) if said.facing == :open

        move = move.with(turn: 0, facing: said.facing) if said.facing
        said.level ? move.with(**Turning.body_at(said.level, @words.map(&:first))) : move
      end
    end
  end
end
