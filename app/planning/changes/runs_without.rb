# frozen_string_literal: true

module App
  module Planning
    module Changes
      # The full runs but the last need not wait for a section: it is walked or left out in them.
      class RunsWithout < Change
        def valid? = !section.nil?

        def work(work) = Core::Joins::Edit.section(work, section.id) { |each| each.with(run_without: true) }

        private

        def section = @section ||= @piece.sections.find_by(id: id("section"))
        def words = { section: section.name }
        def accept = section.update!(run_without: true)
      end
    end
  end
end
