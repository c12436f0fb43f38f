# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # What is kept about somebody and why, for themselves or a guardian.
      class Kept
        attr_reader :person, :token

        delegate :parts, :why, to: :about

        def initialize(person, token:)
          @person = person
          @token = token
        end

        def title = I18n.t("guardian.kept", name: person.first_name)
        def back = "/my/#{token}"
        def name(part) = I18n.t("kept.#{part.key}.name")
        def count(part) = part.rows.size

        private

        def about = @about ||= Reading::KeptAbout.new(person)
      end
    end
  end
end
