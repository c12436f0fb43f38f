# frozen_string_literal: true

module Core
  module Piece
    # Cuts a row of phrases into so many sections and gives each to a teacher: by even minutes of new material, or with
    # the fewest handovers between teachers along the piece. Cuts lie only at the ends of phrases; all repeats of a
    # phrase stay with its teacher and count once; where there are sections enough, every teacher gets one.
    # By dynamic programming over the phrases; a state is what the rest can depend on: sections begun, who teaches last,
    # everybody's minutes, and who teaches the phrases that later ones will stand beside. Exact while a step has at most
    # MOST_STATES of them (some 20 phrases and 3 teachers); beyond that the most promising are kept.
    #
    #   Sharing.new([Phrase.new("A", 20), Phrase.new("B", 10), Phrase.new("A", 20)], teachers: %w[x y], sections:
    #   2).even
    class Sharing
      Phrase = Struct.new(:name, :minutes, :counts)
      # blocks: [[first, last, teacher], …], indexes into phrases (each material once); loads: {teacher => minutes}.
      Proposal = Struct.new(:blocks, :loads, :handovers, keyword_init: true)
      State = Struct.new(:teachers, :cuts, :loads, :handovers)
      MOST_STATES = 2_500
      private_constant :State

      attr_reader :phrases, :teachers

      # order: [Phrase] as danced; the same name again is a repeat. Raises ValueError when it cannot be cut that way.
      def initialize(order, teachers:, sections:)
        @phrases = order.uniq(&:name)
        @teachers = teachers
        @sections = sections
        @sequence = order.map { |phrase| @phrases.index { |each| each.name == phrase.name } }
        raise ValueError.new("teachers", "needs at least one") if teachers.empty?
        return if sections.between?(1, @phrases.size)

        raise ValueError.new("sections", "must be 1 to #{@phrases.size}, got #{sections}")
      end

      # Least difference in minutes first, then the fewest handovers.
      def even = best { |state| [*weight(state), state.handovers] }

      # Fewest handovers first, then even minutes.
      def few_handovers = best { |state| [state.handovers, *weight(state)] }

      # The figures of any cut: blocks as in a Proposal.
      def measure(blocks)
        taught = @phrases.each_index.map { |i| blocks.find { |from, to, _| i.between?(from, to) }.last }
        loads =
          @teachers.to_h do |teacher|
            [teacher, @phrases.each_index.sum { |i| taught[i] == teacher ? @phrases[i].minutes : 0 }]
          end
        Proposal.new(blocks:, loads:, handovers: @sequence.each_cons(2).count { |a, b| taught[a] != taught[b] })
      end

      private

      def weight(state) = [state.loads.max, state.loads.sum { |load| load * load }]

      def best(&)
        found = states.select { |state| complete?(state) }.min_by(&) or return
        measure(blocks(found))
      end

      def complete?(state)
        state.cuts.size == @sections &&
          (@sections < @teachers.size || @teachers.each_index.all? { |t| state.teachers.include?(t) })
      end

      def states
        @states ||=
          @phrases.each_index
            .reduce([State.new([], [], [0] * @teachers.size, 0)]) do |kept, at|
              thinned(kept.flat_map { |state| next_states(state, at) }, at)
            end
      end

      def next_states(state, at)
        going_on =
          if state.cuts.any? && @phrases.size - at - 1 >= @sections - state.cuts.size
            [step(state, at, state.teachers.last, state.cuts)]
          else
            []
          end
        return going_on if state.cuts.size == @sections

        going_on + candidates(state).map { |teacher| step(state, at, teacher, [*state.cuts, at]) }
      end

      # Teachers who have nothing yet are alike: the first of them stands for all.
      def candidates(state)
        used = state.teachers.uniq
        used + (@teachers.each_index.to_a - used).first(1)
      end

      def step(state, at, teacher, cuts)
        loads = state.loads.dup
        loads[teacher] += @phrases[at].minutes
        handed = beside(at).sum { |other, times| state.teachers[other] == teacher ? 0 : times }
        State.new([*state.teachers, teacher], cuts, loads, state.handovers + handed)
      end

      # Earlier phrases that stand beside this one somewhere in the piece: {phrase => times}.
      def beside(at)
        @beside ||=
          @sequence.each_cons(2)
            .reject { |a, b| a == b }
            .map(&:minmax)
            .group_by(&:last)
            .transform_values { |pairs| pairs.map(&:first).tally }
        @beside.fetch(at, {})
      end

      # Of states that the rest cannot tell apart, the one with the fewest handovers.
      def thinned(states, at)
        open = (0..at).select { |i| i == at || ((at + 1)...@phrases.size).any? { |later| beside(later).key?(i) } }
        kept = {}
        states.each do |state|
          key = [state.cuts.size, state.loads, open.map { |i| state.teachers[i] }]
          kept[key] = state if kept[key].nil? || state.handovers < kept[key].handovers
        end
        kept = kept.values
        kept.size > MOST_STATES ? kept.min_by(MOST_STATES) { |state| [state.handovers, *weight(state)] } : kept
      end

      def blocks(state)
        state.cuts.each_with_index.map do |from, i|
          [from, (state.cuts[i + 1] || @phrases.size) - 1, @teachers[state.teachers[from]]]
        end
      end
    end
  end
end
