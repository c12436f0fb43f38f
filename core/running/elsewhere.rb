# frozen_string_literal: true

module Core
  module Running
    # How often the material at one side of a join was danced without that join, and how: in other places of it that are
    # come to from something else (or go on to something else), and in runs that began, or ended, there.
    class Elsewhere
      def initialize(eights, runs)
        @eights = eights
        @runs = runs
      end

      # [times it went well, times it went wrong] of the first eight of a link.
      def entering(link)
        first = @eights.of_place(link, 1)
        tally(first, ->(eight) { come_from(eight) }) { |from, _, eight| from < eight.from }
      end

      # The same of the last eight of a link.
      def leaving(link)
        last = @eights.of_link(link).last
        tally(last, ->(eight) { goes_to(eight) }) { |_, to, eight| to > eight.to }
      end

      private

      # A dance of the same eight counts where it was joined to something else, or to nothing.
      def tally(eight, joined)
        own = joined.call(eight)
        dances = same(eight).product(@runs).flat_map do |other, run|
          whole = run.stretches.select { |from, to| from <= other.from && to >= other.to }
          apart = whole.reject { |from, to| yield(from, to, other) && joined.call(other) == own }
          apart.map { run.troubles_in(other.from, other.to).empty? }
        end
        [dances.count(true), dances.count(false)]
      end

      def same(eight) = @eights.all.select { |other| other.key == eight.key }
      def come_from(eight) = @eights.before(eight)&.key
      def goes_to(eight) = @eights.after(eight)&.key
    end
  end
end
