# frozen_string_literal: true

module Core
  module Movement
    # Puts the elements of a phrase together: who does what, on which side, where to and how far. A side belongs to the
    # part it stands with; an open verb to the part that is named with it; a foot without a verb is put somewhere.
    class Acts
      # step: Step, or nil where only words are left; sides: feet, in order; layer: of a part above the legs, with
      # step nil; ways, amount, doubts; from, to: its words; names: which words nobody knows.
      Act = Struct.new(
        :step, :sides, :layer, :ways, :amount, :doubts, :from, :to, :unknown, :it, :on, :noun, :face,
        keyword_init: true
      ) do
        def upper? = !layer.nil?
        def foot? = !step.nil? && !upper?
      end
      PLACING = %w[over behind front across beside].freeze
      STEPS_TO = %w[side behind over across front back forward crossed diagonal through].freeze
      RUNS = %w[walk march run].freeze

      # elements: [Elements::Element]; after: the layer of the move before them, and whether that was a foot's gesture.
      def initialize(elements, vocabulary, after: nil)
        @elements = elements
        @vocabulary = vocabulary
        @after = after
        @acts = []
        @sides = []
        @ways = []
      end

      # [Act] in order.
      def all
        @at = 0
        while @at < @elements.size
          take(@elements[@at])
          @at += 1
        end
        leftover
        @acts
      end

      private

      def current = @acts.last
      def following(by = 1) = @elements[@at + by]
      def before(by = 1) = @at >= by ? @elements[@at - by] : nil

      def take(element)
        @begin ||= element.at
        send(:"take_#{element.kind}", element)
        return if pending?

        @begin = nil
        current.to = element.at + element.size if current
      end

      # Whether something was said that belongs to what follows.
      def pending? = @sides.any? || @ways.any? || @joined || (!@amount.nil? && !current.nil? && @begin)

      def start(element, **facts)
        @acts << Act.new(
          sides: [], ways: @ways, doubts: [], unknown: [], from: @begin || element.at, to: element.at + element.size,
          amount: @amount, **facts
        )
        @begin = nil
        @amount = nil
        @joined = false
        @ways = []
        current
      end

      # The sides that stood before a verb are its own.
      def own_sides = @sides.map(&:value).tap { @sides = [] }

      def take_step(element)
        step = element.value
        return take_way(element) if way?(step, element)
        return negated(element) if before&.kind == :no
        return if lying_word?(step, element)
        return upper(element) if step.open && (part_ahead? || theirs?(step))
        return start(element, step: @vocabulary.find("put"), sides: own_sides, it: true) if foot_down?(step)
        return foot_part(element) if step.open && step.level && (foot_ahead? || (@noun && @sides.any?))
        return start(element, step: @vocabulary.find("step"), sides: own_sides) if onto_foot?(step)
        return if (step.open && current&.upper? && !@joined) || turn_said?(step)
        return name_unknown(step) if level_said?(step, element) || qualified?(element)
        return dance_on(step, element) if stepping?(element)

        put_sides if @sides.any? && step.name == "close" && element.size == 1 && element.word != "close"
        start(element, step:, sides: own_sides, noun: @noun)
        @noun = nil
      end

      # "unwind a full turn": the amount was the turn's.
      def turn_said?(step)
        step.name == "turn" && current&.foot? && !@joined && turns?(current.step) && before&.kind == :amount
      end

      # "explode up", "curl down": however it is done, it is up or down.
      def level_said?(step, element)
        step.level && step.open && element.size == 1 && current && current.step.nil? && current.unknown.any? && !@joined
      end

      # "scuba hop", "grand plié": the word before a step says which.
      def qualified?(element)
        current && current.step.nil? && !current.upper? && current.unknown.any? && current.doubts.empty? &&
          current.to == element.at && !@joined && @sides.empty?
      end

      def name_unknown(step)
        current.step = step
        current.unknown = []
      end

      # "up", "down", "back" after something else only say where to.
      def way?(step, element)
        return true if gathered?(step, element)

        element.size == 1 && current && !@joined && @sides.empty? && step.open && step.kind == :step &&
          (Lexicon::DIRECTIONS.include?(element.word) || element.word == "open")
      end

      def negated(element)
        @begin = element.at if @acts.empty?
        nil
      end

      # "half turn stepping R": the turn is danced on that foot.
      def stepping?(element)
        element.word == "stepping" && current&.foot? && current.step.weights.any? && current.step.turn != 0
      end

      def dance_on(_step, _element) = nil

      # "drag together", "knock the knees together".
      def gathered?(step, element)
        step.name == "close" && %w[together tog].include?(element.word) && current && !current.step&.weights&.any? &&
          !@joined && @sides.empty?
      end

      # "draws a circle on the floor", "hands on the floor": nobody lies down by it.
      def lying_word?(step, element)
        return false unless step.name == "lie" && element.word.match?(/\A(?:on|onto|at|in|to|along|across)\b/)
        return true if element.word.end_with?("hip") && !current&.step&.level

        current && !@joined && (current.upper? || current.step&.foot || current.step&.layer == :arms)
      end

      # "arms up 1, down 2", "let them fall": said right after what the arms did.
      def theirs?(step)
        return false unless @after == :upper && current.nil?

        (step.level && alone?) || @elements.any? { |each| %w[them both].include?(each.word) }
      end

      # Whether nothing else is said than this step.
      def alone?
        @elements.none? { |each| !%i[and with filler it way].include?(each.kind) && each != @elements[@at] }
      end

      # "kick R 1, down 2": the foot comes down.
      def foot_down?(step)
        @after == :gesture && current.nil? && step.level == :low && step.open && alone?
      end

      # "roll through the feet", "melt both knees": the foot does it, not the body.
      def foot_ahead?
        ahead = @elements[(@at + 1)..].find { |each| !%i[filler amount way].include?(each.kind) }
        ahead = @elements[@elements.index(ahead) + 1] if ahead&.kind == :side
        ahead&.kind == :foot || (ahead&.kind == :step && ahead.value.name == "heel")
      end

      def foot_part(element) = start(element, step: @vocabulary.find("body"), sides: own_sides)

      # "fall onto L": a step.
      def onto_foot?(step)
        return false unless step.level == :floor && step.open

        following&.word.to_s.match?(/\A(?:onto|on|into)\z/) && following(2)&.kind == :side && !part_at?(3)
      end

      def part_at?(by) = following(by)&.kind == :part

      # Whether a part above the legs is named before the next verb.
      def part_ahead?
        @elements[(@at + 1)..].each do |element|
          return true if element.kind == :part
          return true if element.word == "toe" && before_word?("your", element)
          return false if %i[with and it].include?(element.kind)
          return false if element.kind == :step && !(element.value.open && element.size == 1)
          return false if element.kind == :foot
        end
        false
      end

      # "up", "down" alone: "up down up w/ the chest".
      def plain_level?
        @elements[0..@at].all? { |each| each.kind != :step || (each.value.level && each.size == 1 && each.value.open) }
      end

      def before_word?(word, element)
        @elements.any? { |each| each.word == word && each.at + each.size == element.at }
      end

      def upper(element)
        @sides = []
        start(element, layer: :arms, step: nil)
      end

      def take_part(element)
        @sides = []
        return current.layer = element.value if current&.upper? && current.step.nil? && current.to == element.at
        return current.layer = element.value if qualified?(element)
        return if current&.upper?
        return join_part(element) if current&.foot? && !@joined

        start(element, layer: element.value)
      end

      # What the arms do on the way belongs to the step's words; an open verb that only now gets its part is the part's.
      def join_part(element)
        act = current
        return unless act.step.open && act.sides.empty? && act.ways.size < 2 && !act.step.moves? && before&.kind != :with
        return if act.amount || act.face

        act.layer = element.value
        act.step = nil
      end

      def take_foot(element)
        @noun = element.word if current.nil? || @joined || current.upper?
        return if current.nil? || current.upper?

        current.noun ||= element.word
      end

      def take_side(element)
        side = element.value
        return if part_next?
        return if placed_beside?
        return @sides << element if begins_anew?

        current.upper? ? nil : current.sides << side
      end

      # "left arm", "right big hip": the side is the part's.
      def part_next?
        after = following
        after = following(2) if after && %i[filler amount unknown].include?(after.kind)
        after&.kind == :part
      end

      # "cross right over left": the second side says where.
      def placed_beside?
        way = before
        return false unless way && current&.foot? && current.sides.any? && PLACING.include?(way.word)

        after = following
        after.nil? || !%i[way step foot].include?(after.kind)
      end

      # Whether a side begins something new instead of saying the foot of what was named.
      def begins_anew?
        return true if current.nil? || @joined
        return %i[foot step].include?(after_sides&.kind) if current.upper?
        return true if foot_then_verb?
        return false if current.sides.empty?

        current.ways.any? && following&.kind != :foot
      end

      # What comes after a row of sides.
      def after_sides = @elements[(@at + 1)..].find { |element| !%i[side filler].include?(element.kind) }

      # "step R left foot behind", "kick L right leg swings".
      def foot_then_verb?
        after = following
        return false unless after && current.sides.any?

        after.kind == :foot || (after.kind == :step && after.value.foot?)
      end

      def take_way(element)
        way = element.word
        return put_foot(element) if @sides.any? && (current.nil? || @joined || @sides.any?)

        return current.step = @vocabulary.find("get up") if way == "up" && current&.step&.level == :floor

        current ? current.ways += [way] : @ways += [way]
      end

      # "R side", "left foot out": a foot without a verb.
      def put_foot(element)
        start(element, step: @vocabulary.find(foot_goes(element.word)), sides: own_sides, noun: @noun)
        current.ways += [element.word]
        @noun = nil
      end

      # What a foot does that goes somewhere: "right leg up" is lifted, "left foot out" is put there, "R side" is a step.
      def foot_goes(way)
        noun = %w[foot leg toe knee].include?(@noun.to_s)
        return "lift" if noun && %w[up air high].include?(way)

        noun || !STEPS_TO.include?(way) ? "put" : "step"
      end

      # Sides without a verb, each a step of its own: "R L R L".
      def put_sides
        sides = @sides
        @sides = []
        sides.each do |side|
          @begin = side.at
          start(side, step: @vocabulary.find("step"), sides: [side.value])
        end
      end

      def take_amount(element)
        current&.foot? && current.amount.nil? && turns?(current.step) ? current.amount = element.value : @amount = element.value
      end

      def turns?(step) = !step.nil? && (step.name == "turn" || step.turn != 0)

      # "turn to the back", "walk to the back".
      def take_face(element)
        return take_way(element) unless current&.foot? || current&.step
        return if element.value == 1 && !turns?(current.step)
        return current.doubts += [:facing] unless turns?(current.step) || current.step.name == "jump"

        element.value ? current.face = element.value : current.doubts += [:facing]
      end

      def take_shoulder(element)
        current.sides << element.value if current&.foot? || turns?(current&.step)
      end

      def take_doubt(element)
        start(element, step: nil) unless current
        current.doubts += element.value
      end

      def take_it(_element)
        current.it = true if current && !current.upper?
      end

      def take_with(_element)
        @joined = current&.upper? || following_step?
      end

      def take_and(_element) = @joined = true
      def take_no(_element) = nil

      def take_filler(element)
        current.on = true if element.word == "on" && current&.foot? && current.sides.empty?
        nil
      end

      def take_unknown(element)
        return current.unknown += [element.word] if current && !@joined

        start(element, step: nil, unknown: [element.word])
      end

      # "grapevine R with a touch": a further step, where one follows that is no part's.
      def following_step?
        after = @elements[(@at + 1)..].find { |element| !%i[filler amount side way].include?(element.kind) }
        after&.kind == :step
      end

      # What nobody took: an amount without a turn, sides without a verb.
      def leftover
        if @amount && (@sides.any? || @acts.empty?)
          start(@elements.last, step: @vocabulary.find("turn"), sides: own_sides)
        elsif @amount && current
          current.amount ||= @amount
        end
        loose_sides if @sides.any?
      end

      def loose_sides
        return put_noun if @noun
        return unnamed if @sides.size == 1 && current.nil? && %i[upper unknown].include?(@after)

        put_sides
      end

      # A side after what the arms did, or after what nobody knows, is no step.
      def unnamed
        known = @after == :upper
        start(@elements.last, layer: (:body if known), unknown: known ? [] : @sides.map(&:word))
        @sides = []
      end

      def put_noun
        step = @vocabulary.find({ "heel" => "heel", "toe" => "touch", "knee" => "lift knee" }.fetch(@noun, "put"))
        start(@elements.last, step:, sides: own_sides, noun: @noun)
      end
    end
  end
end
