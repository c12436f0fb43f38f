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

        private

        def about = @about ||= Reading::KeptAbout.new(person)
      end
    end
  end
end
