# frozen_string_literal: true

module Core
  module Movement
    # Walks a body along lines: its state after every move, and what cannot be danced as written.
    # Steps: a state per placed move; findings: kind :question (a step on the foot that bears the weight),
    # :too_many (more than the line has counts for) or :no_time (a level change without counts).
    class Walk
      Step = Struct.new(:row, :move, :at, :state, keyword_init: true)
      Finding = Struct.new(:row, :count, :kind, :reason, :subject, keyword_init: true)
      # What put a value in doubt: move and row; nil where it is not in doubt.
      Doubt = Struct.new(:row, :move, keyword_init: true)
      attr_reader :entry, :steps, :findings, :doubts

      # entry, exit: what is stated of the edges; from: a Body to begin with instead.
      def initialize(lines, entry: {}, exit: {}, from: nil, vocabulary: Vocabulary::DEFAULT)
        @lines = lines
        @vocabulary = vocabulary
        typed = from ? {} : lines.first&.entry.to_h
        @entry = @state = from || Body.stated(typed.merge(entry))
        @stated_exit = exit
        @steps = []
        @findings = []
        @doubts = {}
        walk
      end

      # The body at the end.
      def exit = Body.stated(@stated_exit).then { |said| merge(@state, said) }

      # The body at the end of a row (from 1).
      def after(row) = (@steps.reverse_each.find { |step| step.row <= row } || nil)&.state || @entry

      private

      # What a line states of its end holds, whatever its moves came to.
      def stated_end(line, row)
        return if line.exit.empty?

        set(**line.exit.transform_values { |value| Known.stated(value) })
        @steps.last.state = @state if @steps.last&.row == row
      end

      # Changes values of the body; what is known again is in doubt no longer.
      def set(**values)
        values.each { |name, known| @doubts.delete(name) unless known.source == :supposed }
        @state = @state.with(**values)
      end

      def merge(state, said)
        state.with(**said.to_h.select { |_, known| known.source == :stated })
      end

      def walk
        @lines.each_with_index do |line, i|
          check_room(line, i + 1)
          line.moves.each { |move| dance(move, i + 1) }
          stated_end(line, i + 1)
        end
      end

      def check_room(line, row)
        line.faults.each do |fault|
          next unless fault.kind == :no_such_count

          too_many(row, fault.count || 1, fault.kind, fault.text)
        end
        over = line.placed.find { |move| move.end_at > line.length && move.at + 12 > line.length && move.at >= line.length }
        too_many(row, over.count, :past_end, over.text) if over
      end

      def too_many(row, count, reason, subject)
        @findings << Finding.new(row:, count:, kind: :too_many, reason:, subject:)
      end

      def dance(move, row)
        step = move.step && @vocabulary.find(move.step)
        before = @state
        case move.kind
        when :free then free(move)
        when :unknown then unknown(move, row)
        when :step then act(step, move, row) if step
        end
        say(move)
        doubt(move.doubts, move, row)
        carry(move)
        @steps << Step.new(row:, move:, at: move.at, state: @state) if move.at || @state != before
      end

      # What is stated with a move, or by itself.
      def say(move)
        weigh(move) if move.weight && move.weight != :keep
        set(level: Known.stated(move.level)) if move.kind == :state && move.level
        set(facing: Known.stated(move.facing)) if move.kind == :state && move.facing
        set(weight: Known.choice) if move.choice.include?(:weight)
      end

      def weigh(move)
        foot = %i[left right both].include?(move.weight)
        return if foot && seated?

        rise if foot && move.level.nil?
        began_on(move.weight) if %i[left right].include?(move.weight) && move.kind == :state
        set(weight: Known.stated(move.weight))
      end

      def carry(move)
        @state = @state.with(hands: Known.derived(move.hands)) if move.hands
        @state = @state.with(travel: Known.derived(move.travel)) if move.travel
      end

      # Freestyle: afterwards nothing is known but what the text states.
      def free(move)
        return unless %i[feet body].include?(move.layer)

        set(weight: Known.choice, facing: Known.choice)
        doubt([:level], move, nil)
      end

      # Words nobody knows do nothing to the feet, as far as anybody knows.
      def unknown(move, row)
        return unless move.layer == :feet
        return doubt([:facing], move, row) if seated?

        @used = true if @state.weight.value.nil?
        doubt(move.doubts.empty? ? %i[weight facing level] : [], move, row)
      end

      # Values that something unknown came after.
      def doubt(names, move, row)
        names.each do |name|
          known = @state.public_send(name)
          @doubts[name] = Doubt.new(row:, move:)
          @state = @state.with(name => Known.supposed(known.value)) unless known.source == :choice
        end
      end

      def act(step, move, row)
        return sit_through(step, move) if seated? && !unseats?(step)

        need_level(step, move, row)
        gesture(step, move, row) if step.foot
        weights(step, move, row) unless move.weight == :keep && step.foot.nil? && keep(step, move, row)
        turn(move)
        change_level(step, move)
        leave_floor(step)
      end

      def seated? = @state.weight.value == :seated

      # Who sits goes on sitting, whatever the feet do, until it is said that they get up or down.
      def unseats?(step) = %i[standing floor kneeling air].include?(step.level) || step.weights.include?(:seated)

      def sit_through(_step, move) = turn(move)

      def change_level(step, move)
        return unless move.level

        stays = step.open && step.foot == :rise && @state.level.value == :standing
        return if stays
        return set(level: Known.derived(@state.level.value)) if sitting_down?(step)

        set(level: Known.derived(move.level))
      end

      # "low", "down" of somebody who is lower already.
      def sitting_down?(step) = step.level == :low && %i[floor kneeling].include?(@state.level.value)

      # Danced without weight: the foot has to be free for it, as for a touch.
      def keep(step, move, row)
        gesture(step.with(foot: :free), move, row) if move.side
        true
      end

      # A foot that works stands again unless the step says otherwise.
      def leave_floor(step)
        return unless step.weights.intersect?(%i[lead other both]) && step.level.nil? && @state.level.value == :low

        set(level: Known.derived(:standing))
      end

      def need_level(step, move, row)
        return unless step.needs == :standing && %i[floor kneeling].include?(@state.level.value) && @state.level.sure?

        ask(row, move, :from_the_floor, @state.level.value)
      end

      # A kick or touch needs its foot free: the weight must be on the other.
      def gesture(step, move, row)
        return get_up if step.foot == :rise

        side = move.side
        return if side.nil?

        bearing = step.foot == :standing ? side : other(side)
        begin_on_gesture(bearing) unless @state.weight.known? || @state.weight.source == :choice
        ask(row, move, :same_foot, side) if @state.weight.value == other(bearing) && sure_feet? && !@implied
        return put_somewhere(side, move) if step.foot == :put

        @gesture = side
        lean_on(bearing)
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

        @doubts[:weight] = Doubt.new(row: nil, move:)
        @state = @state.with(weight: Known.supposed(side))
      end

      # Up from the floor, a knee or low: on the foot that bore the weight, else on both, as far as anybody knows.
      def get_up
        return if %i[left right both].include?(@state.weight.value)
        return if @state.level.value == :standing && @state.weight.value.nil? && @state.level.sure?

        @state = @state.with(weight: Known.supposed(:both))
        @doubts[:weight] = Doubt.new(row: nil, move: nil)
      end

      def weights(step, move, row)
        return close(move) if step.name == "close" && move.side.nil? && move.feet.empty?

        lead = lead(step, move)
        supposed = move.side.nil? && move.feet.empty? && @state.weight.source == :supposed
        step.weights.each_with_index do |kind, i|
          place(kind, move.feet[i] || foot(kind, lead), move, row, index: i, supposed:)
        end
        @put = @gesture = @implied = nil if step.weights.any?
      end

      # A close without a foot: both after a gesture; after a step the other foot, as far as anybody knows.
      def close(move)
        gestured = @gesture
        @gesture = @put = @implied = nil
        return set(weight: Known.derived(:both)) if gestured

        foot = @state.free_foot
        @doubts[:weight] = Doubt.new(row: nil, move:)
        @state = @state.with(weight: foot ? Known.supposed(foot) : Known.new(value: nil, source: :not_stated))
      end

      # The foot a step leads with: the said one, else the free one.
      def lead(step, move) = move.side || (step.weights.include?(:lead) ? @state.free_foot : nil)
      def foot(kind, lead) = kind == :lead ? lead : Lexicon::OTHER[lead]

      def place(kind, foot, move, row, index:, supposed:)
        return set(weight: Known.derived(kind)) if %i[both seated floor].include?(kind)
        return set(weight: Known.new(value: nil, source: :not_stated)) if kind == :air || foot.nil?

        began_on(other(foot)) unless @state.weight.known? || @state.weight.source == :choice || @used
        ask(row, move, :same_foot, foot, index) if @state.weight.value == foot && sure_feet?
        @used = true
        rise
        return @state = @state.with(weight: Known.supposed(foot)) if supposed

        set(weight: Known.derived(foot))
      end

      # A step from a knee stands up; from the floor it must have done, whatever was left out.
      def rise
        level = @state.level
        return set(level: Known.derived(:standing)) if level.value == :kneeling
        return set(level: Known.derived(:standing)) if level.source == :supposed && level.value == :standing

        @state = @state.with(level: Known.supposed(:standing)) if %i[floor air].include?(level.value)
      end

      # The first foot used tells which one bore the weight before.
      def began_on(bearing)
        return if @used

        @entry = @entry.with(weight: Known.derived(bearing))
        set(weight: Known.derived(bearing))
      end

      def turn(move)
        return set(facing: Known.derived(move.facing)) if move.facing
        return if move.turn == 0
        return doubt([:facing], move, nil) && (@state = @state.with(facing: Known.unknown)) if move.turn.nil?
        return if @state.facing.value.nil?

        turned = ((@state.facing.value - 1 + move.turn) % 8) + 1
        @state = @state.with(facing: @state.facing.sure? ? Known.derived(turned) : Known.supposed(turned))
      end

      def ask(row, move, reason, subject, index = 0)
        at = move.places[index] || move.at
        @findings << Finding.new(row:, count: at ? ((at / 12.0) + 1).round(3) : nil, kind: :question, reason:, subject:)
      end
    end
  end
end
