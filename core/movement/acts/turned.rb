# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # Which way a step turns, and where to: "turn to the back", "half turn stepping R".
      module Turned
        private

        def turns?(step) = !step.nil? && (step.name == "turn" || step.turn != 0)

        # "turn to the back", "walk to the back".
        def take_face(element)
          return body_to if current&.layer == :body
          return take_way(element) unless current&.foot? || current&.step

          return take_way(element) if only_there?(current.step)

          turning = turns?(current.step) || current.step.name == "jump"
          return face_there(element.value) if turning

          current.doubts += [:facing] unless element.value == 1
        end

        def face_there(facing)
          facing ? current.face = facing : current.doubts += [:facing]
        end

        # "sweeps round to the back", "nod to the side wall": a foot or the head goes there, and nobody turns.
        def only_there?(step) = %i[free put].include?(step.foot) || %i[head arms].include?(step.layer)

        # "half turn stepping R": the turn is danced on that foot.
        def stepping?(element)
          return false unless element.word == "stepping" && current&.foot? && turning?(current)

          turn_before if following&.kind == :side && current.sides.any?
          true
        end

        # "grapevine L with a quarter L": the second side is the way it turns.
        def turned_by?(act) = act.foot? && act.sides.any? && !(@amount || act.amount).nil? && act.step.name != "turn"

        def turn_before
          current.step = @vocabulary.find("step") if current.step.name == "turn"
          turn_first_on
        end

        # "turn and a half": half a turn more than was said, or than once round.
        def half_more(element)
          return @amount = (@amount || 8) + element.value unless current&.foot? && turns?(current.step)

          current.amount = (current.amount || 8) + element.value
        end

        # "touch on R", "quarter right on L": what follows is the foot that bears.
        def stand_on(element)
          start(element, step: @vocabulary.find("turn"), sides: own_sides) if @amount && @sides.one? && on_a_side?
          return unless current&.foot?

          turn_first_on if turns?(current.step) && current.sides.one? && on_a_side?
          current.on = true if current.sides.empty?
        end

        # "half turn R on L": the side before is the way, the one after it the foot.
        def turn_first_on
          current.round = current.sides.last
          current.sides = []
        end

        # "on L", "on the left foot".
        def on_a_side?
          following&.kind == :side || (%w[the your].include?(following&.word) && following(2)&.kind == :side)
        end

        # "quarter right stepping left": to the right, on the left.
        def turn_first(element)
          return unless element.word == "stepping" && @amount && @sides.any? && following&.kind == :side

          @sides.last.value.tap { @sides = [] }
        end

        # "swing R to the left": where it goes.
        def heading?(act)
          act.foot? && act.step.foot == :free && act.sides.any? && %w[to towards].include?(word_before)
        end

        # "two steps to the right and two to the left": the other way, and with which foot nobody says.
        def other_way?
          @joined && current&.foot? && %w[to towards].include?(word_before) && %i[step side foot].none?(following&.kind)
        end

        def turning?(act) = turns?(act.step) || !act.amount.nil?
      end
    end
  end
end
