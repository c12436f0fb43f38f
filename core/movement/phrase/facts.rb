# frozen_string_literal: true

module Core
  module Movement
    class Phrase
      # What a step comes to with what stands beside it: how far it turns, how low it is, what the hands hold.
      module Facts
        CENTRE = /\A(?:back |and |then |to |the )*(?:centre|center|middle|in|home|clean|neutral)\z/
        private_constant :CENTRE

        private

        # "tap R out, in": the foot comes back.
        def in_again?(folded)
          @after == :gesture && folded.compact.join(" ").match?(/\A(?:and |then |come )*(?:back )?(?:in|home)\z/)
        end

        # "R, both, L, both", "left right left both": the feet, where these danced last.
        def both?(folded, moves)
          *before, last = folded.compact
          return false if @after == :upper
          return moves.none? && !@last.nil? if folded.compact.join(" ").match?(/\Aboth (?:in|together|down|close)\z/)
          return false unless last == "both"

          moves.empty? ? before.empty? && !@last.nil? : Lexicon::SIDES.key?(before.last) && @acts.all?(&:foot?)
        end

        # "go left, centre": which foot bears then nobody says.
        def centre?(folded)
          !@last.nil? && @after != :upper && folded.compact.join(" ").match?(CENTRE)
        end

        # "and then it's arms": theirs is what follows.
        def only_part?(folded)
          words = folded.compact.reject { |word| Lexicon.small?(word) || %w[its just only].include?(word) }
          words.size == 1 && Lexicon::PARTS.key?(words.first)
        end

        # "the lion": what that is nobody knows.
        def named?(folded) = @said.empty? && @lead.nil? && folded.all? && Lexicon::Remarks.name?(folded)

        def words = @tokens.map(&:text).join(" ")

        # "pivot on R to the back", "half turn R on L": turned on the foot that bears.
        def turned_on(act, text)
          turn = act.face ? 0 : Turning.of(act.amount, act.round)
          Move.new(
            text:, step: "turn", kind: :step, layer: :body, weight: act.sides.first, turn:, facing: act.face
          )
        end

        # "and balance": without a foot nobody means the waltz step.
        def balanced?(act, text)
          act.step.name == "balancé" && act.sides.empty? && @lead.nil? && text.match?(/\bbalance\b/i)
        end

        # "heels R, toes R": both of them, and the weight stays.
        def both_heels?(act, text)
          return false unless %w[heel touch].include?(act.step.name) && act.sides.any? && act.amount.nil?

          text.match?(/\bboth (?:heels|toes)\b/i) || (act.sides.one? && text.match?(/\b(?:heels|toes)\b/i))
        end

        def turn(act, side)
          step = act.step
          return 0 if step.level == :floor

          side = Lexicon::OTHER[side] if side && act.toward && step.turn.negative?
          return usual_turn(step, side) if step.turn != 0 && act.amount.nil?
          return 0 unless step.name == "turn" || step.turn != 0 || act.amount

          Turning.of(act.amount, side, against: step.turn.negative?)
        end

        # As far as the step always turns; nobody knows which way without a side, where that matters.
        def usual_turn(step, side)
          Turning.signed(step.turn, side) unless side.nil? && (step.turn % 4) != 0
        end

        # "land low": a hold is as low as it is said.
        def level(act) = act.step.kind == :hold && act.ways.intersect?(%w[low down]) ? :low : act.step.level

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
            Lexicon::IDLE.include?(word) || Lexicon::SIDES.key?(word) || %w[pick up take grab].include?(word)
          end
          said.empty? ? "prop" : said.join(" ")
        end
      end
    end
  end
end
