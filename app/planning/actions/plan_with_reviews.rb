# frozen_string_literal: true

module App
  module Planning
    module Actions
      # A plan with reviews of what would become rusty before it is danced again, and the tasks it is made of.
      class PlanWithReviews
        def initialize(draft, plan)
          @draft = draft
          @bare = plan
        end

        def plan = @plan ||= @bare.with_reviews(wants.filter_map(&:task), reviews.placements)

        # People as row ids, as in the draft.
        def tasks
          @tasks ||= @draft.tasks + wants.filter_map(&:task).map do |task|
            task.with(
              dancers: rows(task.dancers),
              choreographers: rows(task.choreographers),
              sections: [@draft.work.order.links[task.links.first - 1].section.id]
            )
          end
        end

        # What would be rusty, with no place for a review: [[name, day it is rusty, day it is danced again], …].
        def fading = wants.reject(&:task).map { |want| [want.item.name, want.rusty.iso8601, want.until.iso8601] }

        private

        def wants = reviews.wants
        def rows(ids) = ids.map { |id| Records::Mapping::Identifiers.row(id) }

        def reviews
          @reviews ||=
            Core::Planning::Reviews.new(
              @bare,
              tasks: @draft.tasks,
              items: @draft.items,
              progress: @draft.progress,
              today: @draft.now.to_date,
              ends:,
              minutes:,
              teachers:,
              name: ->(id) { Records::Mapping::Identifiers.person(id) }
            )
        end

        # Until the show, or as long as there are rehearsals.
        def ends = @draft.piece.show_date || @draft.season.open.map(&:date).max || @draft.now.to_date

        def sections = @draft.items.all.select { |item| item.kind == :section }
        def first_link(item) = @draft.work.order.links[item.links.first - 1]
        def teachers = sections.to_h { |item| [item.key, first_link(item).section.choreographer] }

        def minutes
          sections.to_h do |item|
            [
              item.key,
              @draft.estimate
                .chain(first_link(item).seconds, people: @draft.items.dancers(item).size, passes: 2, notes: 0)
                .minutes
            ]
          end
        end
      end
    end
  end
end
