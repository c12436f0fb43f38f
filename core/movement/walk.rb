# frozen_string_literal: true

module Core
  module Movement
    # Walks a body along lines: its state after every move, and what cannot be danced as written.
    # Steps: a state per placed move; findings: kind :question (a step on the foot that bears the weight),
    # :too_many (more than the line has counts for) or :no_time (a level change without counts).
    class Walk
      Step = Struct.new(:row, :move, :at, :state, keyword_init: true)
      Finding = Struct.new(:row, :count, :kind, :reason, :subject, keyword_init: true)
      OTHER = { left: :right, right: :left }.freeze
      # Counts in which a level change is fast but can be done, by what it leaves and reaches.
      RISES = { %i[floor standing] => 2, %i[kneeling standing] => 1 }.freeze
      attr_reader :entry, :steps, :findings

      # entry, exit: what is stated of the edges; from: a Body to begin with instead.
      def initialize(lines, entry: {}, exit: {}, from: nil, vocabulary: Vocabulary::DEFAULT)
        @lines = lines
        @vocabulary = vocabulary
        @state = from || Body.stated(entry)
        @entry = @state
        @stated_exit = exit
        @steps = []
        @findings = []
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

        @state = @state.with(**line.exit.transform_values { |value| Known.stated(value) })
        @steps.last.state = @state if @steps.last&.row == row
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

          @findings << Finding.new(
            row:,
            count: fault.count || 1,
            kind: :too_many,
            reason: fault.kind,
            subject: fault.text
          )
        end
        over =
          line.placed.find { |move| move.end_at > line.length && move.at + 12 > line.length && move.at >= line.length }
        return unless over

        @findings << Finding.new(row:, count: over.count, kind: :too_many, reason: :past_end, subject: over.text)
      end

      def dance(move, row)
        step = move.step && @vocabulary.find(move.step)
        before = @state
        free(move) if move.kind == :free && %i[feet body].include?(move.layer)
        act(step, move, row) if step && move.kind == :step
        @state = @state.with(weight: Known.choice) if move.choice.include?(:weight)
        carry(move)
        @steps << Step.new(row:, move:, at: move.at, state: @state) if move.at || @state != before
      end

      def carry(move)
        @state = @state.with(hands: Known.derived(move.hands)) if move.hands
        @state = @state.with(travel: Known.derived(move.travel)) if move.travel
      end

      # Freestyle: afterwards nothing is known but what the text states.
      def free(_move) = @state = @state.with(weight: Known.choice, facing: Known.choice)

      def act(step, move, row)
        need_level(step, move, row)
        gesture(step, move, row) if step.foot
        weights(step, move, row)
        turn(move)
        @state = @state.with(level: Known.derived(move.level)) if move.level
        leave_floor(step)
      end

      # A foot that works stands again unless the step says otherwise.
      def leave_floor(step)
        return unless step.weights.intersect?(%i[lead other]) && step.level.nil? && @state.level.value == :low

        @state = @state.with(level: Known.derived(:standing))
      end

      def need_level(step, move, row)
        unless step.needs == :standing && %i[floor kneeling].include?(@state.level.value) &&
            @state.level.source != :not_stated
          return
        end

        ask(row, move, :from_the_floor, @state.level.value)
      end

      # A kick or touch needs its foot free: the weight must be on the other.
      def gesture(step, move, row)
        side = move.side or return
        bearing = step.foot == :free ? OTHER[side] : side
        began_on(bearing) unless @state.weight.known? || @state.weight.source == :choice
        ask(row, move, :same_foot, side) if @state.weight.value == OTHER[bearing]
        @state = @state.with(weight: Known.derived(bearing)) if @state.weight.value.nil? || @state.weight.value == :both
      end

      def weights(step, move, row)
        lead = lead(step, move)
        step.weights.each_with_index { |kind, i| place(kind, move.feet[i] || foot(kind, lead), move, row, i) }
      end

      # The foot a step leads with: the said one, else the free one.
      def lead(step, move) = move.side || (step.weights.include?(:lead) ? @state.free_foot : nil)
      def foot(kind, lead) = kind == :lead ? lead : OTHER[lead]

      def place(kind, foot, move, row, index)
        return @state = @state.with(weight: Known.derived(kind)) if %i[both seated floor].include?(kind)
        return @state = @state.with(weight: Known.unknown) unless foot

        began_on(OTHER[foot]) unless @state.weight.known? || @state.weight.source == :choice || @used
        ask(row, move, :same_foot, foot, index) if @state.weight.value == foot
        @used = true
        @state = @state.with(weight: Known.derived(foot), level: rise)
      end

      # A step from the floor or a knee stands up.
      def rise = %i[kneeling].include?(@state.level.value) ? Known.derived(:standing) : @state.level

      # The first foot used tells which one bore the weight before.
      def began_on(bearing)
        return if @used

        @entry = @entry.with(weight: Known.derived(bearing))
        @state = @state.with(weight: Known.derived(bearing))
      end

      def turn(move)
        return @state = @state.with(facing: Known.derived(move.facing)) if move.facing
        return @state = @state.with(facing: Known.unknown) if move.turn.nil?
        return if move.turn.zero? || @state.facing.value.nil?

        @state = @state.with(facing: Known.derived(((@state.facing.value - 1 + move.turn) % 8) + 1))
      end

      def ask(row, move, reason, subject, index = 0)
        at = move.places[index] || move.at
        @findings << Finding.new(row:, count: at ? ((at / 12.0) + 1).round(3) : nil, kind: :question, reason:, subject:)
      end
    end
  end
end
