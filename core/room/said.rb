# frozen_string_literal: true

module Core
  module Room
    # What was said of somebody at a rehearsal, from a minute of the day on: they are here, came late, left, dance small
    # ("marking"), rest, or are absent. at: when it was said, in any unit that grows; what was said later counts.
    class Said < Values::Value.of(:person, :state, :minute, :at)
      STATES = %w[present late left marking resting absent].freeze

      private

      def settle
        return if STATES.include?(state)

        raise ValueError.new("state", "must be one of #{STATES.join(', ')}, got #{state.inspect}")
      end
    end
  end
end
