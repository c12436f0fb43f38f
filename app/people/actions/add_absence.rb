# frozen_string_literal: true

module App
  module People
    module Actions
      # Somebody cannot come: from a day to a day, all day or between two times.
      class AddAbsence
        def initialize(person, params)
          @person = person
          @params = params
        end

        def run
          from = date("from_date")
          to = @params["to_date"].to_s.empty? ? from : date("to_date")
          return Shared::Result.no({ absence: I18n.t("people.which_day") }) unless from && to
          return Shared::Result.no({ absence: I18n.t("people.which_time") }) if bad_time?("from") || bad_time?("to")

          absence =
            @person.absences.new(
              studio_id: @person.studio_id,
              from_date: from,
              to_date: to,
              from_minute: minute("from"),
              to_minute: minute("to")
            )
          absence.save ? Shared::Result.ok(absence) : Shared::Result.no({ absence: I18n.t("people.day_order") })
        end

        private

        def date(name) = Shared::Dates.parse(@params[name])

        def minute(name) = Formats::Times.minutes(@params[name])
        def bad_time?(name) = !@params[name].to_s.empty? && minute(name).nil?
      end
    end
  end
end
