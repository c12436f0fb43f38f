# frozen_string_literal: true

module Core
  module Running
    # What a run says of whoever danced it: which learning items each of them danced whole and well. Whoever something
    # was noted of in an item has not; where somebody went wrong in it and it is not known who, nobody is said to have.
    # It says that it was danced, at the run's rung; whether they have it is for the studio's way of counting.
    class Danced
      # items: Learning::Items; eights: Eights; cast: {person => [group ids]}.
      def initialize(items, eights, cast:)
        @items = items
        @eights = eights
        @cast = cast
      end

      # [[person, item key], …]. dancers: ids of those who danced it; noted: {person => [count of the piece]} of notes
      # to individuals.
      def of(run, dancers:, noted: {})
        whole(run).flat_map do |item, spans|
          wrong = wrong(run, item, spans, noted)
          wrong.nil? ? [] : ((@items.dancers(item) & dancers) - wrong).map { |person| [person, item.key] }
        end
      end

      private

      # Items of which some place was danced in one stretch: [[item, [[from, to], …]], …]. The opening and the
      # ending are more than their counts.
      def whole(run)
        learned = @items.all.reject { |item| %i[opening ending].include?(item.kind) }
        learned.filter_map do |item|
          spans = item.links.map { |link| span(item, link) }.select { |from, to| run.danced?(from, to) }
          [item, spans] if spans.any?
        end
      end

      # A join is danced from one eight before its seam to one after.
      def span(item, link)
        own = @eights.span(link)
        return [own.begin, own.end] unless item.kind == :join

        [@eights.of_link(link).last.from, @eights.of_place(link + 1, 1).to]
      end

      # Ids of those it went wrong for; nil where it is not known whom.
      def wrong(run, item, spans, noted)
        own = @items.dancers(item)
        troubles = spans.flat_map { |from, to| run.troubles_in(from, to) }
        who = troubles.map { |trouble| trouble.who(@cast) }
        return if who.any?(&:nil?)

        said = noted.select { |_, counts| counts.any? { |count| spans.any? { |from, to| count.between?(from, to) } } }
        (who.flatten | said.keys) & own
      end
    end
  end
end
