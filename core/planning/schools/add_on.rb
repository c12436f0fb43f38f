# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Add on from the top: learn the next section, join it to what is there, dance from the top so far. The opening is
      # danced many times and the ending once.
      class AddOn < School
        private

        def build
          @links.each do |placed|
            add_link(placed)
            add_join(@joins[placed.index - 2]) if placed.index > 1
            add_chain(1, placed.index) if placed.index > 2 || placed.index == @links.size
          end
          add_runs
        end

        # Each new section comes after the one before it in the piece.
        def same_teacher(_section) = @tasks.select { |task| %w[learn make].include?(task.kind) }.last(1).map(&:id)
      end
    end
  end
end
