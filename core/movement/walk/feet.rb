# frozen_string_literal: true

module Core
  module Movement
    class Walk
      # Where the weight goes: gestures, steps, feet that are put somewhere, closes.
      module Feet
        # Steps that take the weight or not, where their foot is not said.
        # What a placement may be that names no leading foot.
        BEARING = %i[both seated floor left right].freeze
        UNSURE = ["stamp", "change weight", "recover", "sway"].freeze

        private

        # A kick or touch needs its foot free: the weight must be on the other. By turns, the first comes down between.
        def gesture(step, move, row)
          return stand_up if step.foot == :rise

          side = move.side
          return if side.nil?

          bearing = step.foot == :standing ? side : other(side)
          begin_on_gesture(bearing) unless @state.weight.known? || @state.weight.source == :choice
          return hop_onto(side) if step.name == "hop" && @state.weight.value == other(side)
          return contradict(row, move, side) if @state.weight.value == other(bearing) && sure_feet? && !@implied

          step.foot == :put ? put_somewhere(side, move) : gesture_with(step, move, side, bearing)
        end

        def gesture_with(step, move, side, bearing)
          by_turns = @gesture == other(side)
          @put = nil
          @gesture = step.foot == :standing ? nil : side
          lean_on(bearing)
          doubt([:weight], move) if by_turns
        end

        # "hop L, hop R": from one foot onto the other.
        def hop_onto(side)
          @put = @gesture = @implied = nil
          set(weight: Known.derived(side))
        end

        # Whether the foot that has to move next is known: the other one bears, and nothing hangs in the air.
        def foot_sure?
          weight = @state.weight
          %i[left right].include?(weight.value) && weight.sure? && @gesture.nil? && @put.nil?
        end

        # A foot that is used although it bears: something before it was otherwise.
        def contradict(row, move, side)
          ask(row, move, :same_foot, side)
          @put = nil
          @gesture = side
          doubt([:weight], move)
        end

        def begin_on_gesture(bearing)
          began_on(bearing)
          @implied = true
        end

        # What a gesture says of the foot that bears: it holds where nothing stepped since.
        def lean_on(bearing)
          weight = @state.weight
          return unless weight.value.nil? || weight.value == :both || !weight.sure? || @implied

          set(weight: Known.derived(bearing))
          @implied = true
        end

        def other(side) = Lexicon::OTHER.fetch(side)

        def sure_feet? = @state.weight.source != :supposed

        # A foot that is put somewhere may take the weight or not: the next one tells. Feet put by turns do.
        def put_somewhere(side, move)
          weight = @state.weight
          by_turns = @put && @put == other(side)
          @put = side
          return set(weight: Known.derived(side)) if by_turns && weight.value == other(side)

          @doubts[:weight] = Doubt.new(row: @row, move:)
          @state = @state.with(weight: Known.supposed(side))
        end

        def weights(step, move, row)
          return close(move) if closes?(step, move)
          return @rocked = nil if recovered?(step, move)

          before = @state.weight.value
          @rocked = step.name == "rock" if step.weights.any?
          lead = lead(step, move)
          supposed = move.side.nil? && move.feet.empty? && unsure?(step)
          step.weights.each_with_index do |kind, i|
            place(kind, move.feet[i] || foot(kind, lead), move, row, index: i, supposed:)
          end
          @put = @gesture = @implied = nil if step.weights.any?
          doubt([:weight], move) if stamped_again?(step, move, before)
        end

        # Where the weight was is only supposed, or a foot was in the air just now: it may come down first.
        def unsure?(step) = !@state.weight.sure? || UNSURE.include?(step.name) || !@gesture.nil?

        # "stamp L, stamp L": the foot that bears is stamped with again, so it did not bear.
        def stamped_again?(step, move, before) = step.name == "stamp" && !move.side.nil? && before == move.side

        # "rock R, recover L": a rock has its recover already.
        def recovered?(step, move)
          @rocked && step.name == "recover" && [nil, @state.weight.value].include?(move.side)
        end

        def closes?(step, move) = step.name == "close" && move.feet.empty? && (move.side.nil? || apart?)

        # Whether both feet bear: which of them does when one closes nobody says.
        def apart? = @state.weight.value == :both && @state.weight.sure?

        # A close without a foot: both after a gesture; after a step the other foot, as far as anybody knows.
        def close(move)
          gestured = @gesture
          @gesture = @put = @implied = nil
          return set(weight: Known.derived(:both)) if gestured

          foot = move.side || @state.free_foot
          @doubts[:weight] = Doubt.new(row: @row, move:)
          @state = @state.with(weight: foot ? Known.supposed(foot) : Known.new(value: nil, source: :not_stated))
        end

        # The foot a step leads with: the said one, else the free one.
        def lead(step, move) = move.side || (step.weights.include?(:lead) ? @state.free_foot : nil)

        def foot(kind, lead) = kind == :lead ? lead : Lexicon::OTHER[lead]

        def place(kind, foot, move, row, index:, supposed:)
          return set(weight: Known.derived(kind)) if BEARING.include?(kind)
          return set(weight: Known.new(value: nil, source: :not_stated)) if kind == :air || foot.nil?

          began_on(other(foot)) unless @state.weight.known? || @state.weight.source == :choice || @used
          ask(row, move, :same_foot, foot, index) if @state.weight.value == foot && sure_feet?
          @used = true
          rise
          return @state = @state.with(weight: Known.supposed(foot)) if supposed

          set(weight: Known.derived(foot))
        end

        # The first foot used tells which one bore the weight before, where it is said which one begins.
        def began_on(bearing)
          return if @used

          @entry = @entry.with(weight: @open_start ? Known.supposed(bearing) : Known.derived(bearing))
          set(weight: Known.derived(bearing))
        end

        # Danced without weight: the foot has to be free for it, as for a touch.
        def keep(step, move, row)
          gesture(step.with(foot: :free), move, row) if move.side
          true
        end
      end
    end
  end
end
