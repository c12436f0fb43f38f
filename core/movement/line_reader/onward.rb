# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # Words that say more of what was danced before them: which foot it began with, where it went, that it goes on.
      module Onward
        HEADING = /\A(?:(?:and|all|both|going|moving|travelling|traveling|this|it|is)\ )*
          (?:to|towards)\ (?:the|your|my)\ (?<side>right|left|[rl])\z/ix
        THERE = %w[side behind front back forward across].freeze
        TREADS = %w[step cross close].freeze
        LEG = /\A(?:so |thats |that's |which is )?(?:the|your) (?<side>left|right|l|r)(?: one| foot| leg)?\W*\z/i
        ON_A_LEG = /\b(?:on|onto) (?:the|your|that) (?:back|front|other|same|standing) (?:leg|foot)\W*\z/i
        OTHER_WAY = /\b(?:the )?(?:other|opposite) (?:way|side|direction|foot|leg)\b/i
        GOING = %w[back forward fwd backwards forwards in out again home].freeze
        private_constant :HEADING, :GOING, :OTHER_WAY, :LEG, :ON_A_LEG, :THERE, :TREADS

        private

        # "side step close, to the right": where to; for a step of several changes, with which foot.
        def heading?(group) = group.words.map(&:text).join(" ").match?(HEADING)

        def heading(group)
          side = Lexicon.words([group.words.last.text]).first.first.to_sym
          at = @moves.rindex { |move| move.kind == :step && move.layer == :feet } or return aside(group)
          return aside(group) if @moves[at].side || @vocabulary.find(@moves[at].step.to_s)&.each

          heard(group)
          @moves[at] = @moves[at].with(side:, doubts: @moves[at].doubts | [:weight])
        end

        # "stomp R twice then L twice": the same on that side; whether with the weight nobody says.
        def side_alone?(group)
          last = @moves.last
          group.times && group.words.size == 1 && last&.kind == :step && last.layer == :feet && last_side &&
            Lexicon::SIDES.key?(Lexicon.words([group.words.first.text]).first.first)
        end

        def on_other_side(group, positions)
          heard(group)
          side = Lexicon.words([group.words.first.text]).first.first.to_sym
          same = @moves.last.with(side:, at: nil, places: [], said: [], range: false)
          put([*([same] * (group.times - 1)), same.with(doubts: same.doubts | [:weight])], positions)
        end

        # Which foot begins: of what follows, or of what was said just now.
        def lead(side)
          at = @moves.rindex { |move| move.kind == :step && move.layer == :feet }
          return @lead = side if at.nil? || @moves[at].side

          @led = @moves.size

          at -= 1 while at.positive? && alike?(@moves[at - 1], @moves[at])
          @moves[at] = @moves[at].with(side:)
        end

        # "three step turn back the other way": on the side on which that step was not danced last.
        def other_way(group, moves)
          first = moves.find { |move| move.layer == :feet && move.kind == :step }
          return unless first && first.side.nil?

          before = @moves.rindex { |move| move.side && move.step == first.step }
          Lexicon::OTHER.fetch(@moves[before].side) if before && group.words.map(&:text).join(" ").match?(OTHER_WAY)
        end

        # "three steps forward, right left right": which feet the steps are that were said without any.
        def feet_of(group)
          sides = Lexicon.words(group.words.map(&:text)).map(&:first).reject { |word| Lexicon.small?(word) }
          return unless sides.size > 1 && sides.all? { |word| Lexicon::SIDES.key?(word) }

          sides.map(&:to_sym)
        end

        # "L side, behind, side, touch": after a step, a direction alone is the next one.
        def steps_there?(group)
          return false if group.times || group.amount || group.words.size > 3

          words = Lexicon.words(group.words.map(&:text)).map(&:first).reject { |word| Lexicon.small?(word) }
          return false unless words.one? && THERE.include?(words.first)

          last = @moves.last
          last ? last.kind == :step && TREADS.include?(last.step) : woven?
        end

        def step_there(group, positions)
          heard(group)
          said = group.words.map(&:text).join(" ")
          put([Move.new(text: said, step: "step", kind: :step)], positions)
          @open = positions.empty? ? 1 : nil
        end

        # "side, behind, side": nobody does that with the arms.
        def woven? = @text.match?(/\bside\b/i) && @text.match?(/\b(?:behind|bhnd|beh)\b/i)

        # "you stay on the back leg, the left one": that leg is this one.
        def leg_named?(group)
          return false unless @moves.last&.kind == :hold && @moves.last.text.match?(ON_A_LEG)

          match = group.words.map(&:text).join(" ").match(LEG) or return false
          @moves[-1] = @moves.last.with(weight: Lexicon.words([match[:side]]).first.first.to_sym)
        end

        # Whether a row of sides names the feet of the moves before it; then these are danced so.
        def named_feet?(group)
          return false unless @said_last.to_i.positive? && @moves.last.side.nil? && @moves.last.at.nil?

          sides = group.times.nil? && group.amount.nil? && feet_of(group) or return false
          move = @moves.last(sides.size).first
          return false unless as_many_feet?(sides, move)

          @moves.pop([@said_last, sides.size].min)
          @account.take(move.text)
          @moves.concat(sides.map { |side| move.with(side:, text: "#{move.step} #{side == :right ? 'R' : 'L'}") })
          true
        end

        def as_many_feet?(sides, first)
          last = @moves.last(sides.size)
          return false unless last.all? { |move| open_foot?(move) && move.step == first.step }

          last.size == sides.size || (@said_last == 1 && @vocabulary.find(first.step)&.each)
        end

        def open_foot?(move)
          move.side.nil? && move.at.nil? && move.layer == :feet && move.kind == :step &&
            @vocabulary.find(move.step)&.weights == [:lead]
        end

        # "step kick step touch, starting left": what is danced in one go begins with it.
        def alike?(one, two)
          one.side.nil? && one.layer == :feet && one.kind == :step &&
            (one.step == two.step || [one, two].all? { |move| move.step.start_with?("step-") })
        end

        # "right foot start both times": which of the steps that is nobody can tell.
        def led(group, side)
          lead(side)
          return unless group.words.any? { |token| %w[times time].include?(token.value) } && @moves.any?

          @moves[-1] = @moves.last.with(doubts: @moves.last.doubts | [:weight])
        end

        # "run in place, right first, 16 runs": the runs that were begun are counted here.
        def begun(moves, group)
          last = @moves.last
          return unless group.amount && moves.size == 1 && @led == @moves.size
          return unless last.at.nil? && last.step == moves.first.step && moves.first.side.nil?

          @moves.pop.side
        end

        # "walk in 1-4, then back out 5-8": goes on walking.
        def onward?(group)
          last = @moves.last
          last&.kind == :step && @vocabulary.find(last.step.to_s)&.each &&
            going(group).all? { |word| ways?(word) } && going(group).intersect?(GOING)
        end

        def going(group) = Lexicon.words(group.words.map(&:value)).map(&:first)

        def ways?(word) = GOING.include?(word) || Lexicon.small?(word) || Lexicon::DIRECTIONS.include?(word)

        def onward(often)
          Array.new(often) { Times.follow(@moves.last).with(at: nil, places: [], said: [], range: false, length: nil) }
        end
      end
    end
  end
end
