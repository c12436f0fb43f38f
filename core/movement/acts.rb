# frozen_string_literal: true

module Core
  module Movement
    # Puts the elements of a phrase together: who does what, on which side, where to and how far. A side belongs to the
    # part it stands with; an open verb to the part that is named with it; a foot without a verb is put somewhere.
    class Acts
      # step: Step, or nil where only words are left; sides: feet, in order; layer: of a part above the legs, with
      # step nil; ways, amount, doubts; from, to: its words; names: which words nobody knows.
      Act = Struct.new(
        :step, :sides, :layer, :ways, :amount, :doubts, :from, :to, :unknown, :it, :on, :noun, :face, :toward,
        :round,
        keyword_init: true
      ) do
        def upper? = !layer.nil?
        def foot? = !step.nil? && !upper?
      end
      PLACING = %w[over behind front across beside].freeze
      STEPS_TO = %w[side behind over across front back forward crossed diagonal through].freeze

      include Verbs
      include Meant
      include Whose
      include Feet
      include Turned
      include Shaped

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
        return if denied?(element)

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
        return denied(element) if denied_before?
        return if no_step?(step, element)
        return if (open?(step, element) && open_verb(step, element)) || turn_said?(step)
        return name_unknown(step) if level_said?(step, element) || qualified?(element)

        begin_step(step, element) unless stepping?(element)
      end

      # "no kick", "not a step".
      def denied_before? = (%w[a the any].include?(before&.word) ? before(2) : before)&.kind == :no

      # An open verb that is a part's, or a foot's: whether it was.
      def open_verb(step, element)
        return upper(element) if part_ahead? || theirs?(step)
        return put_down(element) if foot_down?(step)
        return start(element, step: @vocabulary.find("lift"), sides: own_sides) if foot_pulled?(step)
        return foot_part(element) if step.level && foot_said?
        return start(element, step: @vocabulary.find("step"), sides: own_sides) if onto_foot?(step)

        current&.upper? && !@joined
      end

      def take_foot(element)
        beside = @sides.any? && before(2)&.kind == :with
        @noun = element.word if current.nil? || @joined || current.upper? || beside
        return if current.nil? || current.upper? || beside

        current.noun ||= element.word
      end

      def take_side(element)
        return if part_next? || unmeant? || placed_beside?
        return current.sides << element.value if unknown_yet?
        return current.doubts += [:weight] if other_way?
        return begin_with(element) if led?(current)
        return @sides << element if begins_anew?
        return if current.upper?
        return current.round = element.value if turned_by?(current)
        return if heading?(current)

        current.toward = true if %w[to towards].include?(word_before)
        current.sides << element.value
      end

      # The word before a side, its article left out.
      def word_before = %w[the your].include?(before&.word) ? before(2)&.word : before&.word

      # "not the right", "using the right foot", "travelling right": a side that nobody steps on.
      def unmeant?
        return true if %w[using travelling traveling moving heading].include?(word_before) || right_behind?

        (before&.word == "the" ? before(2) : before)&.kind == :no
      end

      def take_way(element)
        way = element.word
        return put_foot(element) if @sides.any? && !verb_next?
        return there_and_back(way) if @joined && current&.step&.foot == :put

        return rise_from(current) if way == "up" && current&.step&.level == :floor

        current ? current.ways += [way] : @ways += [way]
      end

      def take_amount(element)
        return half_more(element) if element.word == "and a half"
        return if element.word == "once" && !(current&.foot? && turns?(current.step))
        return current.amount = element.value if current&.foot? && current.amount.nil? && turns?(current.step)

        @amount = element.value
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

      def take_with(element)
        @joined = current&.upper? || following_step? || (element.word != "with" && part_ahead?)
      end

      def take_and(_element) = @joined = true
      def take_no(_element) = nil

      def take_filler(element)
        stand_on(element) if element.word == "on"
      end

      def take_unknown(element)
        return if before&.kind == :no # "feet don't move": nobody moves

        return put_unknown(element) if @sides.one? && does?(element)
        return current.unknown += [element.word] if current && !@joined
        return start(element, layer: :arms) if carries_on?

        start(element, step: nil, unknown: [element.word])
      end

      # "grapevine R with a touch": a further step, where one follows that is no part's.
      def following_step?
        after = @elements[(@at + 1)..].find { |element| !%i[filler amount side way].include?(element.kind) }
        after&.kind == :step
      end
    end
  end
end
