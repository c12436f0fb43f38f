# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Root of what is said of one section and somebody who would teach it.
      class OfSection < Change
        def valid? = !section.nil? && !teacher.nil?

        private

        def section = @section ||= @piece.sections.find_by(id: id("section"))
        def words = { section: section.name, name: teacher.name }
      end
    end
  end
end
