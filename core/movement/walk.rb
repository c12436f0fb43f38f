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
      STILL = %i[state hold].freeze
      LEADS = %i[lead other].freeze
      # Three quick steps that say so by their name: the free foot begins.
      SHUFFLED = /\b(?:cha[ -]cha[ -]cha|triple(?: step)?|chass[eé])\b/i
      private_constant :STILL, :LEADS, :SHUFFLED
      attr_reader :entry, :steps, :findings, :doubts

      include Feet
      include Levels
      include Doubts

      # entry, exit: what is stated of the edges; from: a Body to begin with instead.
      # steady: words nobody knows never change the feet.
      def initialize(lines, entry: {}, exit: {}, from: nil, vocabulary: Vocabulary::DEFAULT, steady: false)
        @steady = steady
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
        settled(values) unless @doubts.empty?
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
        contradicted
      end

      # What is stated of the end holds; where the steps come to something else, that is said.
      def contradicted
        return if @lines.empty?

        %i[weight facing level].each do |name|
          known = @state.public_send(name)
          stated = @stated_exit[name]
          next unless stated && known.source == :derived && known.value != stated

          @findings << Finding.new(
            row: @lines.size, count: nil, kind: :question, reason: :stated_otherwise, subject: name
          )
        end
      end

      def check_room(line, row)
        line.faults.each do |fault|
          next unless fault.kind == :no_such_count

          too_many(row, fault.count || 1, fault.kind, fault.text)
        end
        over = line.placed.find do |move|
          move.end_at > line.length && move.at + 12 > line.length && move.at >= line.length
        end
        too_many(row, over.count, :past_end, over.text) if over
      end

      def too_many(row, count, reason, subject)
        @findings << Finding.new(row:, count:, kind: :too_many, reason:, subject:)
      end

      def dance(move, row)
        @row = row
        @open_start = move.doubts.include?(:start)
        step = move.step && @vocabulary.find(move.step)
        before = @state
        case move.kind
        when :free then free(move)
        when :unknown then unknown(move)
        when :step then act(step, move, row) if step
        end
        say(move)
        doubt(move.doubts, move) unless move.doubts.empty?
        carry(move)
        @steps << Step.new(row:, move:, at: move.at, state: @state) if move.at || @state != before
      end

      # What is stated with a move, or by itself.
      def say(move)
        weigh(move) if move.weight && move.weight != :keep
        stand_as_said(move) if STILL.include?(move.kind)
        set(weight: Known.choice) if move.choice.include?(:weight)
      end

      def stand_as_said(move)
        set(level: Known.stated(move.level)) if move.level && !stays_low?(move)
        set(facing: Known.stated(move.facing)) if move.facing
      end

      def weigh(move)
        foot = %i[left right both].include?(move.weight)
        return if foot && seated?

        rise if foot && move.level.nil?
        set(level: Known.derived(:standing)) if foot && move.level == :floor
        began_on(move.weight) if %i[left right].include?(move.weight) && move.kind == :state
        set(weight: Known.stated(move.weight))
      end

      # Whether the brakes of a wheelchair are on.
      def roll(step)
        set(wheels: Known.derived(step.wheels == :braked ? :braked : :free)) if step.wheels
      end

      def carry(move)
        @state = @state.with(hands: Known.derived(move.hands)) if move.hands
        @state = @state.with(travel: Known.derived(move.travel)) if move.travel
      end

      def act(step, move, row)
        roll(step)
        return sit_through(step, move) if seated? && !unseats?(step)

        @unready = false
        need_level(step, move, row)
        free = foot_sure?
        gesture(step, move, row) if step.foot
        weights(step, move, row) unless move.weight == :keep && step.foot.nil? && keep(step, move, row)
        turn(move)
        change_level(step, move)
        leave_floor(step, move)
        doubt([:weight], move) if @unready || stepped_round?(step, move) || uncounted?(step, move, free)
      end

      # Who turns over several counts steps it round; a half turn, or one nobody measured, may step over.
      def stepped_round?(step, move)
        step.name == "turn" && move.weight.nil? && (move.length.to_i >= 24 || [nil, 4, -4].include?(move.turn))
      end

      # Which way a chain of steps goes, and how many a run has, is open where no side is said.
      def uncounted?(step, move, free)
        return false if move.side || move.feet.any?
        return false if free && step.name != "run" && move.text.match?(SHUFFLED)

        step.name == "run" || (step.weights.size > 1 && step.offsets.first.zero? && LEADS.include?(step.weights.last))
      end

      def turn(move)
        return set(facing: Known.derived(move.facing)) if move.facing
        return if move.turn == 0
        return doubt([:facing], move) && (@state = @state.with(facing: Known.unknown)) if move.turn.nil?
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
