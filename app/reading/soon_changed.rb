# frozen_string_literal: true

module App
  module Reading
    # Whose next two days a draft changes against what people were told.
    class SoonChanged
      HOURS = 48

      # now: a moment.
      def initialize(plan, now)
        @plan = plan
        @piece = plan.piece
        @studio = @piece.studio
        @now = now
      end

      # Ids of people. Nobody where nobody was told anything yet.
      def homes
        @homes ||= told ? changed.select { |_, changes| changes.any? { |change| change.date <= until_date } }.keys : []
      end

      private

      def told = @told ||= @piece.published_plan
      def until_date = (@studio.local(@now) + (HOURS * 3600)).to_date

      def changed
        CallDifference.new(@piece, told, @plan, @studio.today(@now)).all
      end
    end
  end
end
