# frozen_string_literal: true

module App
  module People
    module Actions
      # Says of somebody who was erased by the calendar which sentences with their first name meant them. Nothing waits
      # afterwards, and the name itself is kept nowhere.
      class SettleNames
        def initialize(person, seen:, take:)
          @person = person
          @studio = person.studio
          @seen = seen
          @take = take
        end

        def run
          return Shared::Result.no({ base: I18n.t("kept.look_again") }) unless @person.erased_at

          places = Erasing::Places.new(@studio, @person)
          return Shared::Result.no({ base: I18n.t("kept.look_again") }) if @seen != places.digest

          @person.alone(:erasing) do
            Erasing::Sweep.new(@studio, places, @take).run
            @person.update!(names_waiting: [])
          end
          Shared::Result.ok(@person)
        end
      end
    end
  end
end
