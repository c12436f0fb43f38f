# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Another way to build it. A plan keeps its own; taking it makes it the piece's.
      class School < Change
        def valid? = !school.nil?
        def school = @asked["school"].presence_in(Core::Planning::Schools::ALL.keys)
        def text = I18n.t("schools.#{school}.name")

        private

        def accept = nil
      end
    end
  end
end
