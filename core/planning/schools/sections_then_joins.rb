# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Sections, then joins: every teacher teaches on their own; then neighbours into pairs, pairs into halves, halves
      # into the whole.
      class SectionsThenJoins < School
        private

        def build
          @links.each { |placed| add_link(placed) }
          @joins.each { |join| add_join(join) }
          merge([1] * @links.size)
          add_runs
        end

        # sizes: links in each block so far, in order.
        def merge(sizes)
          return if sizes.size < 2

          merged = sizes.each_slice(2).map(&:sum)
          from = 1
          merged.zip(sizes.each_slice(2)) do |size, pair|
            add_span(from, from + size - 1) if pair.size == 2
            from += size
          end
          merge(merged)
        end

        # A pair is its join; longer blocks are danced through.
        def add_span(from, to)
          return if to - from < 2

          links = (from..to).to_a
          add_reviews(links)
          push_chain(links, after: waits(links), teachers: owner(@links[to - 1].section))
        end

        # Everything inside: sections (wherever they were learned), differences, joins and smaller blocks.
        def waits(links)
          sections = links.flat_map { |index| learned(@links[index - 1].section) + different(@links[index - 1]) }
          joins = links.each_cons(2).flat_map { |index, _| ids(TaskKey.of("join", @joins[index - 1].key)) }
          blocks = @tasks.select { |task| task.kind == "chain" && (task.links - links).empty? }.map(&:id)
          (sections + joins + blocks).uniq
        end
      end
    end
  end
end
