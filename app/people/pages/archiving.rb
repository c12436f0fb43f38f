# frozen_string_literal: true

module App
  module People
    module Pages
      # What it changes to put somebody away, before it is done.
      class Archiving
        attr_reader :person

        def initialize(person, now)
          @person = person
          @action = Reading::Leaving.new(person, now)
        end

        def title = I18n.t("people.archiving.title", name: person.name)
        def screen = :people

        # [sentence, …]
        def changes
          [casts, calls, sections, I18n.t("people.archiving.links"), I18n.t("people.archiving.kept")].compact
        end

        private

        def casts
          titles = @action.pieces.map(&:title)
          I18n.t("people.archiving.casts", pieces: Shared::Lists.all(titles)) if titles.any?
        end

        def calls
          days = @action.days
          return if days.empty?

          I18n.t("people.archiving.calls", count: days.size, first: Shared::Dates.day(days.first))
        end

        def sections
          names = @action.sections.map(&:name)
          I18n.t("people.archiving.sections", names: Shared::Lists.all(names)) if names.any?
        end
      end
    end
  end
end
