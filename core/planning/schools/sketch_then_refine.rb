# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Sketch the whole, then refine: everything is taught roughly and joined at once, so that the whole can be stumbled
      # through early; what was left out is taught after that.
      class SketchThenRefine < School
        SKETCH = 0.55

        private

        def build
          @links.each do |placed|
            add_link(placed, share: SKETCH)
            add_join(@joins[placed.index - 2]) if placed.index > 1
          end
          add_chain(1, @links.size)
          add_runs
        end

        # The first run is of the sketch; the others wait for what is refined after it.
        def add_runs
          super
          refined = @tasks.select { |task| task.id.start_with?("refine-") }.map(&:id)
          @tasks.map! { |task| task.run? && task.after_window.any? ? task.with(after: task.after + refined) : task }
        end

        def add_cleaning
          @tasks.select { |task| %w[learn make].include?(task.kind) }.each do |task|
            placed = @links[task.links.first - 1]
            left = (1 - taught(@items.of_link(placed.index))) * (1 - SKETCH)
            add(kind: "clean", id: "refine-#{@items.of_link(placed.index).key}", item: @items.of_link(placed.index), minutes: minutes(placed, left), split: true, section: placed.section,
                links: [placed.index], after: ["run-#{@done_runs + 1}"])
          end
          super
        end
      end
    end
  end
end
