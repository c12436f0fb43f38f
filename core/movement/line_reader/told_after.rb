# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # What stands behind a move and belongs to it: its feet, its way, once more without weight; and what a move says
      # of the words after it.
      module ToldAfter
        UPPER = %i[arms head].freeze
        # What goes up and down without anybody getting up or down.
        SOFT = ["relevé", "plié", "heel drop"].freeze
        HOLD_LAST = /\A(?<again>.+?)(?:\ but|\ and)?\ hold(?:ing)?\ (?:on\ )?(?:the\ |your\ )?last
          (?:\ (?:count|one|beat|step))?\W*\z/ix
        DOING = %w[do does doing].freeze
        private_constant :DOING, :UPPER, :SOFT, :HOLD_LAST

        private

        # "do the robot", "pirate business 5-8": words of a thing that has counts of its own, or is done.
        def named_thing?(group, found, positions)
          return false if found.lead || found.entry.any? || found.exit.any?

          words = Lexicon.words(group.words.map(&:text)).map(&:first)
          (positions.any? || words.intersect?(DOING)) && Lexicon::Remarks.danced?(words)
        end

        def named_thing(group, positions)
          put([Move.new(text: group.words.map(&:text).join(" "), kind: :unknown)], positions)
        end

        # "repeat but hold the last count".
        def again_but_held?(group, positions)
          match = group.words.map(&:text).join(" ").match(HOLD_LAST) or return false
          said = Repeats.of(group.words.first(match[:again].split.size)) or return false

          once_more(said, group, positions)
          last = @moves.last
          @moves[-1] = Move.new(text: "hold", kind: :hold, step: "hold", at: last.at, length: last.length)
        end

        # "step pivot step: R fwd, 1/2 L, R fwd": the name of what is told step by step behind it.
        def title?(found)
          return false if found.moves.any?(&:side)

          after = @segments[(@told + 1), 3].to_a.filter_map(&:first).select { |group| group.kind == :words }
          after.size > 1 && after.first(2).all? { |group| told_step?(group) }
        end

        def told_step?(group)
          words = Lexicon.words(group.words.map(&:text)).map(&:first)
          words.intersect?(Lexicon::SIDES.keys) && words.any? { |word| !Lexicon::SIDES.key?(word) }
        end

        # Whether words were only said of what was danced before them.
        def of_before?(group, positions)
          return on_other_side(group, positions) || true if side_alone?(group)
          return step_there(group, positions) || true if steps_there?(group)
          return feet_named(group, positions) || true if named_feet?(group)
          return false unless positions.empty?
          return heading(group) || true if heading?(group)

          leg_named?(group) && (heard(group) || true)
        end

        def first_there?(group, positions) = steps_there?(group) && (step_there(group, positions) || true)

        # The feet of what was said before, on their counts.
        def feet_named(group, positions)
          heard(group)
          @said_last = 0
          @open = positions.empty? ? feet_of(group).size : nil
          take_feet(positions) if positions.any?
        end

        def take_feet(positions)
          @open = nil
          moves = @moves.pop(@moves.reverse.take_while { |move| move.at.nil? && move.step == @moves.last.step }.size)
          @moves.concat(placed(moves, positions))
        end

        # "stomp R, no weight, stomp it again": as before.
        def as_before(group, moves)
          last = @moves.last
          return moves unless moves.one? && last&.weight == :keep && moves.first.step == last.step
          return moves unless group.words.any? { |token| token.value == "again" }

          [moves.first.with(weight: :keep)]
        end

        # What the move before was, where that says whose the next words are.
        def after
          move = @moves.last or return
          return :unknown if move.kind == :unknown
          return :upper if generic?(move) || (move.layer == :arms && move.text.match?(/\b(?:up|down)\b/i))

          return :soft if soft?(move)
          return :upper if UPPER.include?(move.layer) && move.text.match?(/\b(?:right|left|[rl])\b/i)

          foot_before(@vocabulary.find(move.step.to_s)) if move.layer == :feet
        end

        def soft?(move)
          return move.text.match?(/\bheels\b/i) if move.step == "heel"

          SOFT.include?(move.step) && move.side.nil?
        end

        def foot_before(step)
          return :spun if step&.foot == :standing && step.turn != 0

          :gesture if step&.foot == :free
        end
      end
    end
  end
end
