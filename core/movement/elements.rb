# frozen_string_literal: true

module Core
  module Movement
    # Takes the words of a phrase for what they are: steps, parts of the body, sides, ways, amounts. A word with a
    # meaning of its own only beside a part (up, down, roll, cross) is a step that is open: whose it is, Acts decides.
    class Elements
      include Places
      include Less

      # kind: :step, :part, :foot, :side, :way, :amount, :doubt, :it, :with, :no, :filler or :unknown; value: what it
      # is (a Step, a layer, a side, eighths …); at, size: its words; typed: the word.
      Element = Struct.new(:kind, :value, :at, :size, :word)

      # Where a turn ends, and over which shoulder it goes.
      FACES = %w[back front audience crowd house us me upstage downstage corner wings window windows usr usl dsr
                 dsl].freeze
      WALLS = ["(?:back|front|downstage|upstage) (?:right|left)", "(?:back|left|right|side) wall", "back corner",
               "front corner"].freeze
      FACED = [*WALLS, *FACES].join("|")
      FACE = /\A(?:to|towards|into|until)(?: face)? (?:the |your |our |a )*(?<to>#{FACED})\b(?: corner| diagonal)?/
      SHOULDER = /\Aover (?:the |your )?(?<side>right|left) shoulder\b/
      STARTS = %w[
        on onto to into at in along across down up wherever contact partner partners flyer flyers base bases they
        he she anywhere somewhere all
        around round with towards away exit exiting enter entering croise croisee efface effacee ecarte
        flat ecartee epaule epaulement en entournant the window windows door over face each until find perimeter outside
      ].to_set.freeze
      # "right knee on the floor": who kneels lies no lower.
      KNEE_DOWN = /\A(?:down )?(?:on|onto|to) (?:the )?(?:floor|ground|mat)\b/
      STAGE = %w[stage upstage downstage].freeze
      GOING = %w[walk walks run runs skip skips march go exit].freeze
      STANDING_ON = %w[stand stands standing step steps climb climbs jump jumps hop hops leap].freeze
      SEAT = /\A(?:up )?(?:on|onto) (?:the |your |a )*(?:chair|seat|stool|bench)\b/
      TEMPO = %w[time speed count counts tempo].freeze
      # "turn in your knees": the legs turn in the hips, and nobody goes round.
      ROTATED = /\A(?:in|out)(?: (?:the|your|both|left|right))* (?:knee|foot|feet|toe|leg)/
      TURNED = %w[turn turns turning rotate rotates].freeze
      TURNED_ROUND = (TURNED + %w[spin spins flip flips swing swings tip tips put puts]).freeze
      ROUND = (TURNED + %w[spin spins spinning pirouette pirouettes]).freeze
      NEGATIONS = %w[no not without dont never nobody].freeze
      private_constant :FACED, :FACES, :WALLS, :FACE, :SHOULDER, :STARTS, :NEGATIONS, :KNEE_DOWN, :STAGE,
                       :GOING, :STANDING_ON, :SEAT, :TEMPO, :ROTATED, :TURNED, :TURNED_ROUND, :ROUND

      # words: [String], normalised.
      def initialize(words, vocabulary)
        @words = words
        @vocabulary = vocabulary
      end

      # [Element] in order; nil words (said otherwise) are left out.
      def all
        at = 0
        found = []
        while at < @words.size
          element = @words[at] && one(at)
          found << element if element
          at += element ? element.size : 1
        end
        found
      end

      private

      def one(at)
        word = @words[at]
        idle = idle_words(word, at)
        return Element.new(:filler, word, at, idle, word) if idle

        return Element.new(:way, "back", at, 2, "back") if backing_up?(at)
        return Element.new(:way, "offstage", at, 2, word) if off_to?(at)
        return Element.new(:filler, word, at, 1, word) if stood_on?(at)
        return Element.new(:unknown, word, at, 2, word) if rotated?(at)
        return Element.new(:amount, 4, at, 3, "and a half") if half_more?(at)

        phrase(at) || step(at) || Element.new(*kind(word, at), at, 1, word)
      end

      def phrase(at)
        return unless STARTS.include?(@words[at])

        rest = @words[at, 6].take_while { |word| word }.join(" ")
        return face(Regexp.last_match, at) if FACE =~ rest
        return shoulder(Regexp.last_match, at) if SHOULDER =~ rest
        return airborne(at) if rest.start_with?("in the air")

        return step_named("kneel", at, rest[KNEE_DOWN]) if knee_before?(at) && rest[KNEE_DOWN]

        PLACES.each { |pattern, name| (match = rest[pattern]) && (return step_named(name, at, match)) }
        DOUBTS.each do |pattern, doubts|
          match = rest[pattern] or next
          return Element.new(:doubt, doubts, at, match.count(" ") + 1, match)
        end
        rounds(rest, at)
      end

      # "in the air on 8": all of the body, where nothing else is said to be there.
      def airborne(at)
        others = (@words[0...at] + @words[(at + 3)..]).compact
        return Element.new(:way, "air", at, 3, "air") unless others.all? { |word| Lexicon.idle?(word) }

        step_named("airborne", at, "in the air")
      end

      # "walk off stage left", "run off right": where to.
      def off_to?(at)
        return false unless Lexicon::SIDES.key?(@words[at + 1])

        STAGE.include?(@words[at]) || (@words[at] == "off" && at.positive? && GOING.include?(@words[at - 1]))
      end

      # "stand on the chair": nobody sits down on it.
      def stood_on?(at)
        STANDING_ON.include?(@words[[at - 1, 0].max]) && @words[at, 4].compact.join(" ").match?(SEAT)
      end

      # "turn and a half", "one and a half turns"; not "two and a half counts".
      def half_more?(at)
        return false unless at.positive? && @words[at, 3] == %w[and a half]

        ROUND.include?(@words[at + 3]) || (@words[0...at].intersect?(ROUND) && !TEMPO.include?(@words[at + 3]))
      end

      def rotated?(at) = TURNED.include?(@words[at]) && @words[at + 1, 6].to_a.compact.join(" ").match?(ROTATED)

      # "back up 4 steps": backwards.
      def backing_up?(at) = @words[at, 2] == %w[back up] && @words[at + 2, 2].intersect?(%w[steps walks step for])

      def knee_before?(at) = @words[[at - 2, 0].max...at].include?("knee")

      def face(match, at)
        Element.new(:face, Lexicon::FACED[match[:to]], at, match[0].count(" ") + 1, match[:to])
      end

      def shoulder(match, at)
        Element.new(:shoulder, Lexicon::SIDES.fetch(match[:side]), at, match[0].count(" ") + 1, match[0])
      end

      def rounds(rest, at)
        match = Lexicon::ROUNDS.find { |words| rest.start_with?(words) } or return
        Element.new(:amount, 8, at, match.count(" ") + 1, match)
      end

      def step_named(name, at, words)
        step = @vocabulary.find(name)
        step && Element.new(:step, step, at, words.count(" ") + 1, words)
      end

      def step(at)
        step, size = @vocabulary.match(@words, at)
        return unless step
        return if size == 1 && (Lexicon::PARTS.key?(@words[at]) || Lexicon::AMOUNTS.key?(@words[at]))
        return if (step.name == "attitude" && asked?(at)) || (step.name == "free" && no_choice?(at + size))

        Element.new(:step, step, at, size, @words[at, size].join(" "))
      end

      def kind(word, at)
        return [:side, Lexicon::SIDES[word]] if Lexicon::SIDES.key?(word)
        return [:part, Lexicon::PARTS[word]] if Lexicon::PARTS.key?(word)
        return %i[part arms] if handled?(word, at)
        return [:foot, word] if Lexicon::FEET.include?(word) || word == "knee"
        return [:amount, 6] if word == "quarter" && at.positive? && @words[at - 1] == "three"
        return [:amount, Lexicon::AMOUNTS[word]] if Lexicon::AMOUNTS.key?(word) && !of_people?(word, at)

        return [:filler, word] if @words[at + 1] == "style"

        small(word)
      end

      # "drag the chair", "turn the chair"; who turns "your chair" may sit in it.
      def handled?(word, at)
        return false unless Lexicon::FURNITURE.include?(word)

        before = @words[[at - 3, 0].max...at]
        before.intersect?(Lexicon::HANDLING) || (before.last == "the" && before.intersect?(TURNED_ROUND))
      end

      def small(word)
        return [:way, word] if Lexicon::DIRECTIONS.include?(word)
        return [:it, word] if %w[it them].include?(word)
        return [:with, word] if %w[with while as].include?(word)
        return [:and, word] if %w[and then].include?(word)
        return [:no, word] if NEGATIONS.include?(word)
        return [:filler, word] if Lexicon.idle?(word) || word.match?(/\A\d+\z/)

        [:unknown, word]
      end
    end
  end
end
