# frozen_string_literal: true

module Core
  module Movement
    # How often a phrase is danced: "x4", "8 walks", "4 more". What carries the weight goes on with the foot that is
    # free; what leaves it where it is stays on its side.
    class Times
      STAYS = %w[touch point heel kick hop tendu put].to_set.freeze
      STEPS = %w[step walk run].freeze
      TOWARD = /\b(?:walk|step|run|march)\s+(?:to (?:the|your) )?(?:right|left)\s*\d*\z/i
      PLURAL = /\b(?:steps|walks|runs|marches|stamps|stomps|jumps|hops)\b/i
      SIDED = /(?<![[:alpha:]])(?:starting|start|with|from the|right|left|rt|lt|r|l)(?![[:alpha:]])/i
      private_constant :STAYS, :STEPS, :TOWARD, :PLURAL, :SIDED

      # The same once more: with the free foot, where it is danced from foot to foot.
      def self.follow(move)
        return move if move.weight == :keep || move.layer != :feet || STAYS.include?(move.step) || move.feet.any?

        left = move.text.gsub(SIDED, " ").squeeze(" ").strip
        move.with(side: nil, text: left.empty? ? move.text : left)
      end

      # moves: [Move] of the phrase; group: Groups::Group; before: the moves of the line before it; lead: the foot said
      # to begin; odd: whether a step (by its name) changes the weight three times.
      def initialize(moves, group, before, lead: nil, odd: ->(_name) { false })
        @lead = lead
        @odd = odd
        @moves = moves
        @group = group
        @before = before
      end

      # [Move]
      def all
        return more if more?
        return of_them if of_them?

        moves = lone_side(@moves)
        moves = as_many(moves, @group.amount) if counted?(moves)
        moves = amid(moves) if @group.amount&.between?(2, 32) && moves.size > 1
        moves = [*as_many(moves.first(1), @group.over), *moves.drop(1)] if lasting?(moves)
        @group.times ? repeated(moves, @group.times) : moves
      end

      private

      def more? = @group.amount && words.include?("more") && last && @moves.none? { |move| feet?(move) }
      def words = @group.words.map(&:value)

      # "march, starting left, 8 of them": so many with the one that was said.
      def of_them?
        return false unless @group.amount && last && @moves.none? { |move| feet?(move) }

        words.include?("of") && words.intersect?(%w[them these those])
      end

      def of_them = Array.new([@group.amount - 1, 0].max) { follow(last) }
      def last = @last ||= @before.reverse_each.find { |move| feet?(move) }
      def feet?(move) = move.kind == :step && move.layer == :feet

      def more = Array.new(@group.amount) { follow(last) }

      # "circle left eight steps": the steps are eight.
      def amid(moves)
        feet = moves.select { |move| feet?(move) }
        return moves unless feet.one? && feet.first.text.match?(PLURAL)

        moves.flat_map { |move| move == feet.first ? as_many([move], @group.amount) : [move] }
      end

      # "march for 8": one on every count.
      def lasting?(moves)
        @group.over&.between?(2, 32) && moves.any? && moves.drop(1).none? { |move| feet?(move) } &&
          (moves.first.step.to_s.end_with?("walk") || even_runs?(moves.first) || moves.first.text.match?(/\bsteps\b/i))
      end

      # One on every count, or two: it comes to the same foot.
      def even_runs?(move) = move.step == "run" && @group.over.even?

      # "eight walks": as many as are not named one by one.
      def counted?(moves)
        @group.amount && moves.size == 1 && moves.first.kind == :step && @group.amount.between?(2, 32)
      end

      def as_many(moves, amount)
        first = moves.first
        all = [first] + Array.new(amount - 1) { follow(first) }
        return all unless way?(first) || travels?(first)

        all[0] = first.with(doubts: first.doubts | [:start]) if way?(first)
        [*all[0...-1], all.last.with(doubts: all.last.doubts | [:weight])]
      end

      # "two chassés to the right": whether the second starts with the other foot nobody says.
      def travels?(move)
        move.side && @odd.call(move.step)
      end

      # "8 steps left": the way, or the foot that begins.
      def way?(move)
        @lead.nil? && !move.side.nil? && STEPS.include?(move.step) &&
          (move.text.match?(/s\s+(?:to (?:the|your) )?(?:right|left|r|l)\s*\z/i) || move.text.match?(TOWARD))
      end

      def repeated(moves, times)
        return stamped(as_many(moves, times)) if moves.size == 1 && times.positive?

        moves * times
      end

      # "stomp R twice": with the same foot, or by turns.
      def stamped(moves)
        first, *, last = moves
        return moves unless last && first.step == "stamp" && first.side && @lead.nil?

        [*moves[0...-1], last.with(doubts: last.doubts | [:weight])]
      end

      def follow(move) = Times.follow(move)

      # "walk walk walk walk R": nobody knows which of them R is, or whether it is the way.
      def lone_side(moves)
        *others, last = moves
        alike = others.size > 1 && last.side && STEPS.include?(last.step) && moves.map(&:step).uniq.size == 1
        return moves unless alike && others.all? { |move| move.side.nil? }

        [*others, last.with(side: nil, doubts: last.doubts | %i[weight facing])]
      end
    end
  end
end
