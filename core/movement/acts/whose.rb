# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # Whose a word is: an open verb belongs to the part above the legs that is named with it, or was before it.
      module Whose
        # "R L R L arms wild": the sides are the feet's.
        SEVERAL = %w[arms hands shoulders elbows wrists fists eyes heads].freeze
        private_constant :SEVERAL

        private

        # "arms up 1, down 2", "let them fall": said right after what the arms did.
        def theirs?(step)
          return true if current.nil? && let_go?
          return false unless %i[upper soft].include?(@after) && current.nil?
          return true if %i[standing low].include?(step.level) && alone?

          @after == :upper && @elements.any? { |each| %w[them both].include?(each.word) }
        end

        # Whether nothing else is said than this step.
        def alone?
          @elements.none? { |each| !%i[and with filler it way].include?(each.kind) && each != @elements[@at] }
        end

        # "roll through the feet", "melt both knees": the foot does it, not the body.
        def foot_ahead?
          ahead = @elements[(@at + 1)..].find { |each| !%i[filler amount way].include?(each.kind) }
          ahead = @elements[@elements.index(ahead) + 1] if ahead&.kind == :side
          ahead&.kind == :foot || (ahead&.kind == :step && ["heel", "lift knee"].include?(ahead.value.name))
        end

        # "pull R foot up": not with the arms.
        def foot_pulled?(step)
          step.layer == :arms && step.name == "punch" && foot_ahead? && @acts.empty?
        end

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
          @elements[0..@at].all? do |each|
            each.kind != :step || (each.value.level && each.size == 1 && each.value.open)
          end
        end

        def before_word?(word, element)
          @elements.any? { |each| each.word == word && each.at + each.size == element.at }
        end

        def upper(element)
          @sides = []
          start(element, layer: :arms, step: nil)
        end

        def take_part(element)
          steps_before_arms(element)
          return current.layer = element.value if named_part?(element)
          return if current&.upper?
          return join_part(element) if current&.foot? && !@joined

          start(element, layer: element.value)
        end

        # "R L R L arms wild": steps of their own.
        def steps_before_arms(element)
          put_sides if @sides.size > 1 && SEVERAL.include?(element.word) && before&.kind == :side
          @sides = []
        end

        # Whether only now it is said whose the words before are.
        def named_part?(element)
          (current&.upper? && current.step.nil? && current.to == element.at) || qualified?(element)
        end

        # What the arms do on the way belongs to the step's words; an open verb that only now gets its part is the
        # part's.
        def join_part(element)
          act = current
          unless act.step.open && act.sides.empty? && act.ways.size < 2 && !act.step.moves? && before&.kind != :with
            return
          end
          return if act.amount || act.face

          act.layer = element.value
          act.step = nil
        end

        # "and let it drop": what was held up; who lets themselves fall is another matter.
        def let_go?
          @elements.first(4).each_cons(2).any? { |one, two| one.word == "let" && %w[it them].include?(two.word) }
        end

        # "arms float up, and float down": what the arms began they go on with.
        def carries_on?
          @after == :upper && @joined && current.nil? &&
            @elements.all? { |each| %i[and filler way unknown step].include?(each.kind) && !foot_step?(each) }
        end

        def foot_step?(element) = element.kind == :step && !(element.value.open && element.value.level)

        # "the chair is right behind you": close, and no foot.
        def right_behind?
          %w[behind beside].include?(following&.word) && %w[you me us him her them].include?(following(2)&.word)
        end

        # "left arm", "right big hip": the side is the part's.
        def part_next?
          after = following
          return false if after&.kind == :part && SEVERAL.include?(after.word) && before&.kind == :side

          after = following(2) if after && %i[filler amount unknown].include?(after.kind)
          after&.kind == :part
        end

        # "grand right and left": whatever that is.
        def unknown_yet?
          current && current.step.nil? && !current.upper? && !%i[way step foot].include?(following&.kind)
        end

        # "cross right over left": the second side says where.
        def placed_beside?
          way = %w[the your].include?(before&.word) ? before(2) : before
          return false unless way && current&.foot? && current.sides.any? && PLACING.include?(way.word)

          after = following
          after.nil? || !%i[way step foot].include?(after.kind)
        end

        # Whether a side begins something new instead of saying the foot of what was named.
        def begins_anew?
          return %i[foot step].include?(after_sides&.kind) if current&.upper?
          return !in_row? if current.nil? || @joined
          return true if foot_then_verb? || (@bare && current.step&.name == "close")

          went_somewhere?
        end

        # "step R side L": after the way of one comes the next.
        def went_somewhere? = current.sides.any? && current.ways.any? && following&.kind != :foot

        # "kicks L and R": the sides of one verb.
        def in_row?
          before&.word == "and" && current&.foot? && current.sides.any? && before(2)&.kind == :side &&
            [nil, :and].include?(following&.kind)
        end

        # "walk to your right with the right foot": that foot begins.
        def led?(act)
          act&.toward && act.sides.one? && [before, before(2)].any? { |each| each&.kind == :with }
        end

        def begin_with(element)
          current.sides = [element.value]
          current.toward = nil
        end

        # What comes after a row of sides.
        def after_sides = @elements[(@at + 1)..].find { |element| !%i[side filler].include?(element.kind) }

        # "step R left foot behind", "kick L right leg swings".
        def foot_then_verb?
          after = following
          return false unless after && current.sides.any?

          after.kind == :foot || (after.kind == :step && after.value.foot?)
        end
      end
    end
  end
end
