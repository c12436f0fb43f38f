# frozen_string_literal: true

module Core
  module Learning
    # Who could step in for whom. A cover's learning of another's part is a strand of its own; what a cover dances in
    # their own part with the same steps counts too, and is said apart. In links where they dance themselves, their own
    # place stays empty.
    class Understudies
      # person: who would step in; named: whether somebody said so; learned, items: of the part's items, how many they
      # have learned either way, of how many; practised: how many on the cover's strand; busy: links where their own
      # place would be empty.
      Cover = Struct.new(:person, :named, :learned, :items, :practised, :busy, keyword_init: true)
      MOST = 3

      # named: {person whose part it is => [people who cover it]}.
      def initialize(items, progress, named: {})
        @items = items
        @progress = progress
        @named = named
        @kinds = %i[section own difference join]
      end

      # Best first: those who were named, then who has most of it. among: those who could be asked (present today).
      def of(person, among: @items.everybody)
        part = part(person)
        return [] if part.empty?

        named = @named.fetch(person, [])
        covers = ((named & among) | (among & @items.everybody)) - [person]
        covers.map { |cover| cover(cover, person, part, named.include?(cover)) }
          .select { |each| each.named || each.learned.positive? }
          .sort_by { |each| [each.named ? 0 : 1, -each.learned, each.busy] }
          .first([MOST, named.size].max)
      end

      private

      def part(person) = @items.for(person).select { |item| @kinds.include?(item.kind) }

      def cover(cover, person, part, named)
        strand = @progress.on(Strand.new(track: "cover", covers: person))
        practised = part.select { |item| strand.learned?(cover, item.key) }
        own = part.select { |item| @items.dancers(item).include?(cover) && @progress.learned?(cover, item.key) }
        Cover.new(
          person: cover,
          named:,
          learned: (practised | own).size,
          items: part.size,
          practised: practised.size,
          busy: links(part).count { |index| @items.in_link(index).include?(cover) }
        )
      end

      def links(part) = part.reject { |item| item.kind == :join }.flat_map(&:links).uniq
    end
  end
end
