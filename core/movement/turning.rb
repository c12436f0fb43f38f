# frozen_string_literal: true

module Core
  module Movement
    # Turns and levels as they are said.
    module Turning
      CHAIR = %w[chair chairs stool stools bench benches wheelchair wheelchairs wheels wheel].freeze
      private_constant :CHAIR

      module_function

      # Eighths of a turn, to the right positive; nil where it is not said how far, or which way and that matters.
      # amount: eighths, or nil; against: the step turns away from the foot it is danced with.
      def of(amount, side, against: false)
        return if amount.nil?
        return amount if (amount % 4).zero? && side.nil?
        return if against && !(amount % 4).zero?

        side && signed(against ? -amount : amount, side)
      end

      def signed(eighths, side) = side == :left ? -eighths : eighths

      # {weight:, level:} of a body said to be :sitting, :seated, :kneeling, :floor or :standing.
      def body_at(level, words)
        level = words.intersect?(CHAIR) ? :seated : :floor if level == :sitting
        { seated: { weight: :seated, level: :seated }, floor: { weight: :floor, level: :floor },
          kneeling: { weight: :floor, level: :kneeling }, standing: { level: :standing } }.fetch(level)
      end

      def level_of(level, words) = level ? body_at(level, words) : {}
    end
  end
end
