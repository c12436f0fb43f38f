# frozen_string_literal: true

module Core
  module Movement
    class Phrase
      # What a step comes to with what stands beside it: how far it turns, what the hands hold, what it leaves open.
      module Facts
        HALVES = ["pivot turn", "ball-change"].freeze
        SEVERAL = /\b(?:two|three|four|five|six|seven|eight|\d) (?:steps|walks|runs)\b/
        OTHER_LEG = /\bwith (?:the |your )?(?:left|right) (?:leg |foot |one )?(?:back|behind)\b/
        CENTRE = /\A(?:back |and |to |the )*(?:centre|center|middle)\z/
        private_constant :HALVES, :SEVERAL, :OTHER_LEG, :CENTRE

        private

        # "tap R out, in": the foot comes back.
        def in_again?(folded)
          @after == :gesture && folded.compact.join(" ").match?(/\A(?:and |then |come )*(?:back )?(?:in|home)\z/)
        end

        # "R, both, L, both", "left right left both": the feet, where these danced last.
        def both?(folded, moves)
          *before, last = folded.compact
          return false unless last == "both" && @after != :upper

          moves.empty? ? before.empty? && !@last.nil? : Lexicon::SIDES.key?(before.last) && @acts.all?(&:foot?)
        end

        # "go left, centre": which foot bears then nobody says.
        def centre?(folded)
          !@last.nil? && @after != :upper && folded.compact.join(" ").match?(CENTRE)
        end

        def words = @tokens.map(&:text).join(" ")

        # Who goes round somewhere may face anywhere.
        def astray(act)
          going = %w[walk run skip gallop].include?(act.step.name)
          return [:facing] if act.step.name == "circle" && act.from.zero? && act.sides.any?

          going && act.ways.intersect?(%w[round around upstage]) ? [:facing] : []
        end

        # What a step leaves open; not which way it faces, where that was said.
        def own_doubts(act)
          doubts = act.toward && act.step.each ? [:weight, *act.step.doubts] : act.step.doubts
          act.amount || act.face ? doubts - [:facing] : doubts
        end

        # "jump L": to the left, or onto it; "R knee": up, or only bent.
        def landing(act, sides)
          return %i[weight start] if half_said?(act, sides) || several?(act)

          return %i[weight] if act.step.name == "lunge" && other_leg?

          return %i[weight] if stepped_over?(act, sides) || whose_foot?(act, sides)

          jumped = act.step.name == "jump" && sides.any?
          bare = act.step.name == "lift knee" && act.noun == "knee" && act.ways.empty?
          jumped || bare ? [:weight] : []
        end

        # "pivot on R to the back": turned on the foot that bears.
        def turned_on(act, text)
          facing = { turn: act.amount ? nil : 0, facing: act.face }
          facing = { turn: Turning.of(act.amount, nil), facing: nil } if act.amount && act.face.nil?
          Move.new(text:, step: "turn", kind: :step, layer: :body, weight: act.sides.first, **facing)
        end

        # "and balance": without a foot nobody means the waltz step.
        def balanced?(act, text)
          act.step.name == "balancé" && act.sides.empty? && @lead.nil? && text.match?(/\bbalance\b/i)
        end

        # "heels R, toes R": both of them, and the weight stays.
        def both_heels?(act, text)
          %w[heel touch].include?(act.step.name) && act.sides.size == 1 && act.amount.nil? &&
            text.match?(/\b(?:heels|toes)\b/i)
        end

        # "lunge with left back": which leg the lunge is named after.
        def other_leg?
          @words.map(&:first).join(" ").match?(OTHER_LEG)
        end

        # "step heel R": the foot that steps, or the one whose heel it is.
        def whose_foot?(act, sides)
          before = @acts[@acts.index(act) - 1] if @acts.index(act).positive?
          between = before && @words[before.from...act.from].map(&:first)
          sides.one? && act.step.foot == :free && act.step.weights.empty? && before&.foot? &&
            before.step.weights.any? && before.sides.empty? && !between.intersect?(%w[and then with])
        end

        # "step R half turn L": on the right foot, or over onto the left.
        def stepped_over?(act, sides)
          before = @acts.index(act).positive? ? @acts[@acts.index(act) - 1] : nil
          act.step.name == "turn" && act.amount == 4 && !act.on && sides.one? && before&.foot? &&
            before.step.weights.any? && before.sides.last == Lexicon::OTHER[sides.first]
        end

        # "two steps right two steps left": the way, and nobody says which foot begins.
        def several?(act)
          @acts.size > 1 && %w[step walk run].include?(act.step.name) &&
            @words.map(&:first).join(" ").scan(SEVERAL).size > 1
        end

        # "pivot", "ball change" without a foot: the step before may be its first half. "pivot quarter R": the way.
        def half_said?(act, sides)
          return sides.one? && !act.amount.nil? if sides.any? && act.step.name.include?("pivot")

          sides.empty? && HALVES.include?(act.step.name) && @after != :gesture
        end

        def turn(act, side)
          step = act.step
          side = Lexicon::OTHER[side] if side && act.toward && step.turn.negative?
          return Turning.signed(step.turn, side) if step.turn != 0 && act.amount.nil?
          return 0 unless step.name == "turn" || step.turn != 0 || act.amount

          Turning.of(act.amount, side, against: step.turn.negative?)
        end

        # "land low": a hold is as low as it is said.
        def level(act) = act.step.kind == :hold && act.ways.include?("low") ? :low : act.step.level

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
      end
    end
  end
end
