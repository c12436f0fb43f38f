# frozen_string_literal: true

module App
  module Room
    module Pages
      # What is today, and where; where nothing is, what comes next.
      class Choose
        attr_reader :member

        def initialize(member, now)
          @member = member
          @now = now
        end

        def title = I18n.t("ways.room")
        def screen = :room

        # Today's rehearsals; one that is over only as long as it was not confirmed.
        def today = @today ||= ahead.select { |rehearsal| rehearsal.date == @now.to_date }
        def following = ahead.find { |rehearsal| rehearsal.date > @now.to_date }

        # The one to go to without asking.
        def only = (today.first if today.one?)

        private

        def ahead
          @ahead ||= @member.studio.rehearsals.standing.where(date: @now.to_date..).includes(:rooms).first(20)
        end
      end
    end
  end
end
