# frozen_string_literal: true

module Core
  module Joins
    # How a join stands: what the rules find, whether it was agreed in the room, whether an edge changed since, and how
    # it is drawn on the spine.
    class Standing
      # Share of those in a join who have it at slow counts, from which it counts as joined.
      JOINED = 0.8

      attr_reader :held

      # held: Review::Held; agreed: the Agreement that holds, or nil; share: of those who dance the join, how many have
      # it at slow counts (0 to 1), nil where nobody dances it.
      # steps: whether the piece's steps are written at all; where they are not, it stands as it was rehearsed.
      def initialize(held, agreed: nil, share: nil, steps: true)
        @steps = steps
        @held = held
        @agreed = agreed
        @share = share
      end

      # Edges that changed since it was agreed: [], [:leaving], [:entering] or both.
      def changed = @changed ||= @agreed ? @agreed.changed(held.seam) : []

      # Agreed, and unchanged since on either side.
      def agreed? = !@agreed.nil? && changed.empty?

      # :changed, :agreed, or the worst the rules find (Finding::VERDICTS).
      def state
        return :changed if changed.any?

        return :agreed if agreed?

        held.verdict == :not_written && !@steps ? rehearsed : held.verdict
      end

      # Whether nobody has to do anything about it.
      def settled? = %i[agreed fits not_written joined apart caution].include?(state)

      # :clash and :question as long as it is not agreed; else :joined when enough of those in it have it, and :apart
      # before.
      def on_the_spine
        %i[clash question].include?(state) ? state : rehearsed
      end

      private

      def rehearsed = !@share.nil? && @share >= JOINED ? :joined : :apart
    end
  end
end
