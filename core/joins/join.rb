# frozen_string_literal: true

module Core
  module Joins
    # From the end of one link to the start of the next: a thing of its own, with its own learners.
    # index: the place of its leaving link. Joins with the same key are learned once.
    class Join < Values::Value.of(:leaving, :entering, first_index: nil)
      attr_reader :key

      # Of the link it leaves, from 1.
      def index = leaving.index

      # As people say it: "Smoke into Drift".
      def name = "#{leaving.name} into #{entering.name}"

      # Who settles it unless the director names another: the entering choreographer.
      def owner = entering.section.choreographer

      # Whether the same edges were joined earlier in the piece.
      def repeat? = first_index != index
      # Sections and sides of both links, whatever is altered in them.
      def pair = [leaving, entering].flat_map { |placed| [placed.section.id, placed.link.mirrored] }

      # Whether an edge is an altered link's own.
      def own? = key.include?("x")

      # Whether a section is joined to itself.
      def loop? = leaving.section.id == entering.section.id

      private

      def settle = @key = Values::ItemKey.join(Edge.leaving(leaving.link).key, Edge.entering(entering.link).key).to_s
    end
  end
end
