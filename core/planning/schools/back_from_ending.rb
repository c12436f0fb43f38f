# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Back from the ending: the last section first, each new one is danced into what is known. Every chain ends where
      # the piece ends, and the ending is danced most.
      class BackFromEnding < School
        private

        def build
          @links.reverse_each do |placed|
            add_first_of(placed)
            add_join(first_of(@joins[placed.index - 1])) if placed.index < @links.size
            add_chain(placed.index, @links.size) if placed.index < @links.size - 1 || placed.index == 1
          end
          add_runs
        end

        # A repeat's section is learned at its first place in the piece, whichever is met first from behind.
        def add_first_of(placed)
          first = @links.find { |other| other.section.id == placed.section.id && !other.link.altered? }
          add_link(first) if first && ids("learn-s#{placed.section.id}").empty?
          add_difference(placed) if placed.link.altered?
        end

        def first_of(join) = @joins[join.first_index - 1]
        def same_teacher(_section) = @tasks.select { |task| %w[learn make].include?(task.kind) }.last(1).map(&:id)

        # What a chain waits for lies anywhere in the piece: a section is taught once for all its places.
        def add_chain(from, to)
          return if @tasks.empty? || @tasks.last.kind == "chain"

          links = (from..to).to_a
          add_reviews(links)
          push_chain(links, after: @tasks.map(&:id), teachers: owner(@links[from - 1].section))
        end
      end
    end
  end
end
