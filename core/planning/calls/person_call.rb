# frozen_string_literal: true

module Core
  module Planning
    # When one person is called to a rehearsal and released. A dancer who comes after the warm-up comes that much
    # earlier and warms up alone.
    #
    #   PersonCall.new([[1080, 1110]], warm_ups: [], opening: 1050, warm_up: 15).arrive  # => 1065
    class PersonCall
      # work: [[from, to], …] of this person's own slots, minutes of the day; warm_ups: the same of warm-ups and
      # cool-downs they are called to; opening: when the rehearsal starts; warm_up: minutes; dances: whether they dance
      # in it; warmed: whether they are called to the warm-up.
      def initialize(work, warm_ups:, opening:, warm_up:, dances: true, warmed: false)
        @work = work
        @warm_ups = warm_ups
        @opening = opening
        @warm_up = warm_up
        @dances = dances
        @warmed = warmed
      end

      # Minute of the day.
      def arrive = [alone? ? start_of_work - @warm_up : all.map(&:first).min, @opening].max

      # Minute of the day.
      def release = all.map(&:last).max

      # Whether they warm up by themselves.
      def alone? = @dances && !@warmed

      private

      def all = @work + @warm_ups
      def start_of_work = (@work.empty? ? @warm_ups : @work).map(&:first).min
    end
  end
end
