# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # Feet without a verb: "R L R L", "R side", "left foot out"; and what is left over at the end.
      module Feet
        # "L long behind": a leg that is held there.
        STRETCHED = %w[long extended stretched straight pointed lifted raised bent high].freeze
        DOES = /\A[a-z]{3,}[^s]s\z/
        private_constant :DOES, :STRETCHED

        private

        # "R side", "left foot out": a foot without a verb.
        def put_foot(element)
          start(element, step: @vocabulary.find(foot_goes(element.word)), sides: own_sides, noun: @noun)
          current.ways += [element.word]
          @noun = nil
        end

        # "R side lunge": the way is the lunge's; "R side touch", "R side together" are two.
        def verb_next?
          after = following
          after&.kind == :step && after.value.foot? && !%w[close touch].include?(after.value.name) &&
            following(2)&.kind != :side
        end

        # What a foot does that goes somewhere: "right leg up" is lifted, "left foot out" is put there, "R side" is a
        # step.
        def foot_goes(way)
          return "lift" if @elements[[@at - 2, 0].max...@at].any? { |each| STRETCHED.include?(each.word) }

          noun = %w[foot leg toe knee].include?(@noun.to_s)
          return "lift" if noun && %w[up air high].include?(way)
          return "lift knee" if @noun.to_s == "knee"
          return { "toe" => "touch", "heel" => "heel" }[@noun] if %w[toe heel].include?(@noun.to_s)

          return "put" if way == "front" && @acts.empty? && following.nil?

          noun || !STEPS_TO.include?(way) ? "put" : "step"
        end

        # "left together left touch": where a side alone is a step, the next ones are, too.
        def side_steps?(step, element)
          return @bare && step.name == "touch" unless step.name == "close" && %w[together tog].include?(element.word)

          @sides.size > 1 || @acts.any? || !following.nil? # "L tog" alone is that foot closing
        end

        # "R L R kick": what has the free foot comes after the steps.
        def steps_before?(step)
          return @after != :upper if step.kind == :hold

          return step.foot == :free && other_side_next? if @sides.one?

          step.foot == :free || step.layer != :feet
        end

        # "back L touch R": the first is a step.
        def other_side_next? = following&.kind == :side && following.value != @sides.first.value

        # Sides without a verb, each a step of its own: "R L R L".
        def put_sides
          sides = @sides
          @sides = []
          @bare = true
          sides.each do |side|
            @begin = side.at
            start(side, step: @vocabulary.find("step"), sides: [side.value])
          end
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
          return put_sides if @sides.one? && STEPS_TO.include?(@ways.last) && on_foot?
          return unnamed if @sides.size == 1 && (told_of? || (current.nil? && %i[upper unknown].include?(@after)))

          put_sides
        end

        # "back on the left", "side on the right": a step.
        def on_foot? = @elements.last(3).map(&:word).then { |words| words.intersect?(%w[on onto]) && @acts.empty? }

        # "the right one peels": what that foot does nobody knows.
        def put_unknown(element)
          start(element, step: nil, sides: own_sides, unknown: [element.word])
          @noun = nil
        end

        def does?(element)
          return false unless element.word.match?(DOES)

          between = @elements[(@elements.index(@sides.last) + 1)...@at]
          between.all? { |each| %i[filler foot].include?(each.kind) }
        end

        # "the right is just decoration".
        def told_of?
          return false if current&.step

          @elements.any? { |each| %w[is was are].include?(each.word) } || placed?
        end

        # "to the wings on the right", "to the left": a place.
        def placed?
          last = @elements.last(3).map(&:word)
          (last.first == "to" && @elements.size == 3) || [%w[on the right], %w[on the left]].include?(last)
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
end
