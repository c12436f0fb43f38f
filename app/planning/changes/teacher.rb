# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Another teacher of a section.
      class Teacher < OfSection
        def work(work)
          Core::Joins::Edit.section(work, section.id) { |each| each.with(choreographer: teacher.id) }
        end

        private

        def teacher = @teacher ||= @studio.people.choreographers.find_by(id: id("teacher"))
        def accept = section.update!(choreographer: teacher)
      end
    end
  end
end
