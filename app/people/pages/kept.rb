# frozen_string_literal: true

module App
  module People
    module Pages
      # What is kept about somebody and why, to be handed out or erased.
      class Kept
        attr_reader :person, :errors

        delegate :parts, :why, to: :about

        def initialize(person, errors = {})
          @person = person
          @errors = errors
        end

        def screen = :people
        def title = I18n.t("guardian.kept", name: person.name)
        def name(part) = I18n.t("kept.#{part.key}.name")

        # The sentences that name them: [Erasing::Places::Sentence].
        def sentences = places.all
        def seen = places.digest
        def erased? = !person.erased_at.nil?
        def waiting = person.names_waiting.join(", ")

        # "Notes, Plan · 4 times"
        def where(sentence)
          names = sentence.where.map { |place| I18n.t("kept.places.#{place}") }.join(", ")
          sentence.count == 1 ? names : I18n.t("kept.times", names:, count: sentence.count)
        end

        private

        def places = @places ||= Erasing::Places.new(person.studio, person)
        def about = @about ||= Reading::KeptAbout.new(person)
      end
    end
  end
end
