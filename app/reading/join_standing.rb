# frozen_string_literal: true

module App
  module Reading
    # How a join stands: what the rules find, whether it was agreed in the room, whether an edge changed since.
    class JoinStanding
      attr_reader :held

      def initialize(held, snapshot)
        @held = held
        @snapshot = snapshot
      end

      def join = held.join
      def index = join.index
      def open = held.open

      def agreement
        @agreement ||= (@snapshot.agreements[join.key] if @snapshot.agreements[join.key]&.kind == "agreed")
      end

      def changed = @changed ||= agreement ? told.changed(held.seam) : []
      def agreed? = !agreement.nil? && changed.empty?

      # :changed, :agreed, or the worst the rules find.
      def state
        return :changed if changed.any?

        agreed? ? :agreed : held.verdict
      end

      def settled? = %i[agreed fits caution].include?(state)
      def owner_id = @snapshot.join_facts[join.key]&.owner_id || join.owner
      def note = @snapshot.join_facts[join.key]&.note.to_s

      # Share of those in it who have it at slow counts.
      def share
        item = @snapshot.items.of_join(index)
        @snapshot.progress.share(@snapshot.items.dancers(item), item.key, at: 2)
      end

      def have
        item = @snapshot.items.of_join(index)
        dancers = @snapshot.items.dancers(item)
        [dancers.count { |who| @snapshot.progress.rung(who, item.key) >= 2 }, dancers.size]
      end

      private

      def told = Core::Joins::Agreement.new(leaving: agreement.leaving_digest, entering: agreement.entering_digest)
    end
  end
end
