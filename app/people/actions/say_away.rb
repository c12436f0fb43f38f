# frozen_string_literal: true

module App
  module People
    module Actions
      # When somebody can come, in words: weekly habits and days. Nothing is kept while one phrase is not understood.
      # Value: [sentence] of what was understood.
      class SayAway
        def initialize(person, text, today)
          @person = person
          @studio = person.studio
          @today = today
          @words = WordsAway.new(text, today)
        end

        def run
          return Shared::Result.no({ words: I18n.t("away.nothing") }) if @words.all.empty? && @words.unread.nil?
          return Shared::Result.no({ words: I18n.t("away.unread", text: @words.unread[0, 60]) }) if @words.unread

          Records::Absence.transaction { @words.all.each { |line| line.weekdays ? habit(line) : days(line) } }
          Shared::Result.ok(@words.all.map { |line| Shared::AwayWords.line(line) })
        end

        private

        def habit(line)
          line.weekdays.each do |weekday|
            @person.habits.where(weekday:).destroy_all
            habit = @person.habits.create!(
              studio_id: @studio.id, weekday:, from_minute: line.from, to_minute: line.to
            )
            Records::Habit.spread(@studio, @studio.rehearsals.standing.where(date: @today..), [habit])
          end
        end

        def days(line)
          facts = { from_date: line.days.first, to_date: line.days.last, from_minute: line.from, to_minute: line.to }
          @person.absences.create!(studio_id: @studio.id, **facts) unless @person.absences.exists?(facts)
        end
      end
    end
  end
end
