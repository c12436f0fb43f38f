# frozen_string_literal: true

module App
  module Season
    module Actions
      # Days on which the studio is closed, there is no school, or exams are written. On closed days rehearsals fall
      # away. Value: what was done, in words.
      class AddDays
        # given: {"day_kind", "from", "to", "group"} as a form says them; dates as people write them.
        def initialize(studio, given, today)
          @studio = studio
          @given = given
          @today = today
        end

        def run
          fault = faults
          return Shared::Result.no({ days: I18n.t("season.faults.#{fault}") }) if fault

          Records::SeasonDay.transaction do
            day = @studio.season_days.create!(kind:, from_date: from, to_date: to, group:)
            gone = kind == "closed" ? fall_away(day) : 0
            Shared::Result.ok(said(gone))
          end
        end

        private

        def kind = Records::SeasonDay::KINDS.find { |each| each == @given["day_kind"] }
        def from = @from ||= Shared::WrittenDates.read(@given["from"], @today)
        def to = @to ||= @given["to"].to_s.strip.empty? ? from : Shared::WrittenDates.read(@given["to"], from || @today)
        def group = (@studio.groups.find_by(id: @given["group"].to_s[/\A\d{1,18}\z/]) if kind == "exam")

        def faults
          return "kind" unless kind
          return "date" unless from && to
          return "order" if to < from

          "long" if (to - from).to_i >= Records::SeasonDay::LONGEST
        end

        def fall_away(day)
          rehearsals = @studio.rehearsals.standing.where(date: [day.from_date, @today].max..day.to_date).to_a
          rehearsals.each { |rehearsal| rehearsal.cancel(Shared::Clock.now) }
          rehearsals.size
        end

        def said(gone)
          days = [from, to].uniq.map { |date| Shared::Dates.day(date) }.join(" – ")
          [I18n.t("season.day_added", what: I18n.t("season.day_kinds.#{kind}"), days:),
           (I18n.t("season.fell_away", count: gone) if gone.positive?)].compact.join(" ")
        end
      end
    end
  end
end
