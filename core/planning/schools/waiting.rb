# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Ids of the tasks that a task waits for.
      module Waiting
        private

        def learned(section)
          ids(TaskKey.of("learn", Values::ItemKey.section(section.id))) +
            ids(TaskKey.of("place", Values::ItemKey.section(section.id))) +
            ids(TaskKey.of("catchup", Values::ItemKey.section(section.id))) +
            ids(TaskKey.of("anew", Values::ItemKey.section(section.id))) + own_ids(section)
        end

        def different(placed)
          placed.link.altered? ? ids(TaskKey.of("difference", @items.of_link(placed.index).key)) : []
        end

        def ids(id) = @tasks.map(&:id) & [id]
        def previous(kind) = @tasks.select { |task| task.kind == kind }.last(1).map(&:id)

        # What the same teacher taught before comes first.
        def same_teacher(section)
          @tasks
            .select do |task|
              %w[learn make].include?(task.kind) && task.choreographers == section.called_teachers
            end
            .last(1)
            .map(&:id)
        end
      end
    end
  end
end
