# frozen_string_literal: true

module Core
  module Planning
    module Schools
      ALL = {
        "add_on" => AddOn,
        "back" => BackFromEnding,
        "sections" => SectionsThenJoins,
        "sketch" => SketchThenRefine
      }.freeze

      # How a list of tasks dances the piece: minutes, and how often each section is danced.
      class Figures
        def initialize(tasks, work)
          @tasks = tasks
          @links = work.order.links
        end

        # Minutes of work, all tasks together.
        def minutes = @tasks.sum(&:minutes)

        # {section id => times it is danced in learning slots, chains and runs}.
        def danced
          @links.group_by { |placed| placed.section.id }.transform_values do |places|
            indexes = places.map(&:index)
            @tasks.sum { |task| ((task.links || []) & indexes).size }
          end
        end
      end
    end
  end
end
