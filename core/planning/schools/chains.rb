# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Chains as tasks: several links with their joins, danced through.
      module Chains
        private

        # A chain over links from…to, after everything inside that is still to be done.
        def add_chain(from, to)
          return if inside(from, to).empty? || @tasks.last.kind == "chain"

          links = (from..to).to_a
          add_reviews(links)
          push_chain(links, after: inside(from, to).map(&:id), teachers: owner(@links[to - 1].section))
        end

        # Tasks that lie wholly within some links.
        def inside(from, to)
          @tasks.reject(&:run?).select { |task| task.links && task.links.min >= from && task.links.max <= to }
        end

        def push_chain(links, after:, teachers:)
          people = links.map { |index| @items.in_link(index) }.reduce([], :|)
          push(
            kind: "chain",
            id: TaskKey.of("chain", "#{links.first}-#{links.last}"),
            minutes: @estimate.chain(seconds(links), people: people.size, passes: 1).minutes,
            dancers: people,
            choreographers: teachers,
            links:,
            after:,
            title: chain_title(links.first, links.last)
          )
        end

        def seconds(links) = links.sum { |index| @links[index - 1].seconds }

        # [name of the first link, nil for the top; name of the last].
        def chain_title(from, to) = [from == 1 ? nil : @links[from - 1].name, @links[to - 1].name]
      end
    end
  end
end
