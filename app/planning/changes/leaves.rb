# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Somebody who dances in the piece leaves the studio. Doing it puts them away, as on their own page.
      class Leaves < Change
        def valid? = !person.nil?
        def leaving = person.id

        def besides
          left = Reading::Leaving.new(person, Shared::Clock.now)
          others = left.pieces.reject { |piece| piece.id == @piece.id }.map(&:title)
          taught = left.sections.map(&:name)
          [
            (I18n.t("what_if.leaves_others", pieces: Shared::Lists.all(others)) if others.any?),
            (I18n.t("people.archiving.sections", names: Shared::Lists.all(taught)) if taught.any?)
          ].compact
        end

        private

        def person
          @person ||= @studio.people.present.where(id: @piece.castings.select(:person_id)).find_by(id: id("person"))
        end

        def words = { name: person.name }
        def accept = People::Actions::Archive.new(person, Shared::Clock.now).run
      end
    end
  end
end
