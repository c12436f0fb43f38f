# frozen_string_literal: true

module Core
  module Movement
    class Phrase
      # What a step leaves open by the way it is said: which foot, how often, which way it faces.
      module LeftOpen
        HALVES = ["pivot turn", "ball-change"].freeze
        SEVERAL = /\b(?:two|three|four|five|six|seven|eight|\d) (?:steps|walks|runs)\b/
        OTHER_LEG = /\bwith (?:the |your )?(?:left|right) (?:leg |foot |one )?(?:back|behind)\b/
        ALONE = /\A(?:roll|fall)\z/
        FLOOR = /\b(?:floor|ground|mat|over|across|log|shoulder|side|back|front|tummy|spine|around|round|down|
          falls?|collapse)\b/x
        OFF = /\boff (?:the |your )?(?:floor|ground)\b/
        GOING = %w[walk run skip gallop].freeze
        PUT_WAYS = %w[behind front across beside side].freeze
        # What stands before the name of a thing or a place.
        THINGS = %w[the a an your my our their his her its to towards at of in on like en by from].freeze
        private_constant :THINGS, :HALVES, :SEVERAL, :OTHER_LEG, :PUT_WAYS, :GOING

        private

        # The words as they are read.
        def spoken = @spoken ||= @words.map(&:first).join(" ")

        # Who goes round somewhere may face anywhere.
        def astray(act)
          round = act.ways.intersect?(%w[round around]) && act.amount.nil?
          return [:facing] if act.foot? && round && act.step.foot != :free

          return [:facing] if act.step.name == "circle" && act.from.zero? && act.sides.any?
          return [:facing] if act.step.name == "face" && act.face.nil?

          GOING.include?(act.step.name) && act.ways.intersect?(%w[upstage away]) ? [:facing] : []
        end

        # What a step leaves open; not which way it faces, where that was said.
        def own_doubts(act)
          doubts = act.toward && act.step.each ? [:weight, *act.step.doubts] : act.step.doubts
          doubts |= [:weight] if doubled?(act)
          doubts |= [:level] if how_low?(act.step.name)
          doubts |= %i[weight level] if by_itself?(act)
          (act.amount || act.face) && act.step.level != :floor ? doubts - [:facing] : doubts
        end

        # "roll", "dive", "melt" and nothing else: of the body or only of a part of it, to the floor or not so far.
        def by_itself?(act)
          return false unless act.step.open && act.step.level == :floor && ALONE.match?(act.step.name)

          @acts.one? && act.ways.empty? && act.sides.empty? && !spoken.match?(FLOOR)
        end

        # "down": to a crouch, the knees or the floor; "low lunge R": on the knee or not.
        def how_low?(name)
          return spoken.match?(/\b(?:low|deep)\b/) if name == "lunge"

          name == "drop" && spoken.match?(/(?<!bend |crouch |squat |drop )\bdown\b/)
        end

        # "double chassé R": how many of them that is.
        def doubled?(act)
          act.amount && act.step.turn.zero? && act.step.weights.any? && spoken.include?("double")
        end

        # A step with a word nobody knows beside it, unless that names a thing or a place ("to the fountain").
        def unheard(act)
          return [] if act.step.layer != :feet || act.step.kind == :hold

          act.unknown.all? { |word| thing?(word) } ? [] : %i[weight facing]
        end

        def thing?(word)
          at = spoken_words.index(word)
          at.nil? || spoken_words[[at - 3, 0].max...at].intersect?(THINGS)
        end

        def spoken_words = @spoken_words ||= @words.map(&:first)

        # Where a step lands that is said in a way that two people understand differently.
        def landing(act, sides)
          return %i[weight start] if half_said?(act, sides) || several?(act)

          named_unclearly?(act, sides) || stepped_over?(act, sides) || set_down?(act) ? [:weight] : []
        end

        def named_unclearly?(act, sides)
          onto_or_toward?(act, sides) || other_leg?(act) || whose_foot?(act, sides) || whose_knee?(act, sides) ||
            toward?(act) || up?(act) || crossed?(act)
        end

        # Whether a foot comes down somewhere, with or without the weight.
        def set_down?(act) = comes_down?(act) || put_somewhere?(act) || lands?(act)

        # "jump L": to the left, or onto it; "R knee": up, or only bent.
        def onto_or_toward?(act, sides)
          return sides.any? if act.step.name == "jump"

          act.step.name == "lift knee" && act.noun == "knee" && act.ways.empty? && !spoken.match?(OFF)
        end

        # "lunge with left back": which leg the lunge is named after.
        def other_leg?(act) = act.step.name == "lunge" && spoken.match?(OTHER_LEG)

        # "step heel R": the foot that steps, or the one whose heel it is.
        def whose_foot?(act, sides)
          before = before(act)
          between = before && @words[before.from...act.from].map(&:first)
          sides.one? && act.step.foot == :free && act.step.weights.empty? && before&.foot? &&
            before.step.weights.any? && before.sides.empty? && !between.intersect?(%w[and then with])
        end

        # "side steps to the right", "pas de bourrée to the right": where to, and not with which foot.
        def toward?(act)
          return false unless act.toward
          return true if act.step.foot == :free

          act.step.name == "pas de bourrée" || act.step.turn.negative? || spoken.match?(/\b(?:steps|walks|runs)\b/)
        end

        # "up R foot": onto it, or it goes up.
        def up?(act) = act.step.foot == :rise && act.sides.one? && act.noun == "foot"

        # "swing L through, land": on that foot or back on the other.
        def lands?(act)
          act.step.name == "hold" && act.sides.empty? && spoken.match?(/\A(?:and |then )*land(?:s|ing)?\b/) &&
            (%i[gesture spun].include?(@after) || before(act)&.step&.foot == :free)
        end

        # "finish with the left leg crossed in front": how it looks, and not where the weight is.
        def crossed?(act) = act.step.name == "cross" && spoken.match?(/\b(?:leg|foot)(?: is)? crossed\b/)

        # "put it behind": set down there, with or without the weight.
        def put_somewhere?(act)
          act.step.foot == :put && act.sides.empty? && act.it && act.ways.intersect?(PUT_WAYS)
        end

        # "hitch R coming down on 2": the foot that was up, and nobody says whether onto it.
        def comes_down?(act) = act.step.foot == :free && spoken.match?(/\b(?:coming|comes|come) down\b/)

        # "step knee R".
        def whose_knee?(act, sides) = act.noun == "knee" && sides.one? && act.step.name == "step" && act.ways.empty?

        # "step R half turn L": on the right foot, or over onto the left.
        def stepped_over?(act, sides)
          before = before(act)
          act.step.name == "turn" && act.amount == 4 && !act.on && sides.one? && before&.foot? &&
            before.step.weights.any? && before.sides.last == Lexicon::OTHER[sides.first]
        end

        # The act before another, or nil.
        def before(act)
          @before ||= @acts.each_cons(2).with_object({}.compare_by_identity) { |(one, two), all| all[two] = one }
          @before[act]
        end

        # "two steps right two steps left": the way, and nobody says which foot begins.
        def several?(act)
          @acts.size > 1 && %w[step walk run].include?(act.step.name) && several_said?
        end

        def several_said?
          @several_said = spoken.scan(SEVERAL).size > 1 if @several_said.nil?
          @several_said
        end

        # "pivot", "ball change" without a foot: the step before may be its first half. "pivot quarter R": the way.
        def half_said?(act, sides)
          return sides.one? && !act.amount.nil? if sides.any? && act.step.name.include?("pivot")

          sides.empty? && HALVES.include?(act.step.name)
        end
      end
    end
  end
end
