# frozen_string_literal: true

module Core
  module Joins
    # What a mend changes of a piece: eights of links, their side, stated edges, holds of groups.
    class MendEffect
      # kind: :added (an eight before the first), :eight, :side, :entry, :exit or :hold. name: of the link or section;
      # eight: its number; index: of the link; group: whose hold. before, after: rows, links, edges or counts.
      Effect = Struct.new(:kind, :name, :eight, :index, :group, :before, :after, keyword_init: true)

      # before, after: Piece::Work without and with the mend.
      def initialize(before, after)
        @before = before
        @after = after
      end

      # [Effect] in order of the piece; what is the same for several links of a section is said once.
      def changes = [*eights, *sides, *edges, *holds]

      # Counts by which the piece grows; negative where it shrinks.
      def counts = @after.order.total_counts - @before.order.total_counts

      private

      def links = @before.order.links.zip(@after.links)
      def sections = @before.sections.zip(@after.sections)

      def eights
        all = links.flat_map { |placed, link| [*added(placed, link), *rewritten(placed, link)] }
        all.uniq { |change| [change.kind, change.name, change.eight, change.before, change.after] }
      end

      # Eights by which a link grew at its start.
      def growth(placed, link) = [link.danced.size - placed.link.danced.size, 0].max

      def added(placed, link)
        link.danced.first(growth(placed, link)).map do |danced|
          Effect.new(kind: :added, name: link.name, index: placed.index, after: danced.row)
        end
      end

      def rewritten(placed, link)
        old = placed.link.danced
        pairs = old.zip(link.danced.drop(growth(placed, link))).each_with_index
        differing = pairs.reject { |(was, now), _| now.nil? || was.row == now.row }
        differing.map do |(was, now), i|
          Effect.new(kind: :eight, name: link.name, eight: i + 1, index: placed.index, before: was.row, after: now.row)
        end
      end

      def sides
        turned = links.reject { |placed, link| placed.link.mirrored == link.mirrored }
        turned.map { |placed, link| Effect.new(kind: :side, name: link.name, before: placed.link, after: link) }
      end

      def edges
        sections.flat_map do |old, new|
          differing = %i[entry exit].reject { |edge| old.public_send(edge) == new.public_send(edge) }
          differing.map do |edge|
            Effect.new(kind: edge, name: old.name, before: old.public_send(edge), after: new.public_send(edge))
          end
        end
      end

      def holds
        pairs = sections.flat_map { |old, new| old.parts.zip(new.parts) }.reject { |old, new| old == new }
        pairs.map do |old, new|
          Effect.new(kind: :hold, group: old.group, before: old.hold_after, after: new.hold_after)
        end
      end
    end
  end
end
