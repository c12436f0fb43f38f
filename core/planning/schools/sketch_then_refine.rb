# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Sketch the whole, then refine: everything is taught roughly and joined at once, so that the whole can be
      # stumbled through early; what was left out is taught after that.
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
          @tasks.map! { |task| task.run? && task.id != "run-1" ? task.with(after: task.after + refined) : task }
        end

        def add_cleaning
          @items.all.select { |item| item.kind == :section }.each { |item| refine(@links[item.links.first - 1], item) }
          super
        end

        # What the sketch left out, unless nearly all have the section as it shall be.
        def refine(placed, item)
          return if @progress.share(@items.dancers(item), item.key) >= ENOUGH

          clean(
            TaskKey.of("refine", item.key),
            placed,
            item,
            minutes(placed, 1 - SKETCH),
            split: true,
            after: learned(placed.section) + ids("run-1")
          )
        end
      end
    end
  end
end
