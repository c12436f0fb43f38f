# frozen_string_literal: true

module App
  module Reading
    # A join with how it stands (Core::Joins::Standing), what was agreed of it, whose it is and who has it.
    class JoinStanding
      delegate :held, :changed, :agreed?, :state, :settled?, :on_the_spine, to: :@standing

      # held: Core::Joins::Review::Held; snapshot: PieceSnapshots::Snapshot.
      def initialize(held, snapshot)
        @snapshot = snapshot
        @item = snapshot.items.of_join(held.join.index)
        @standing = Core::Joins::Standing.new(
          held, agreed: agreed_edges(held.join), share:, steps: snapshot.work.checking.steps
        )
      end

      def join = held.join
      def index = join.index
      def open = held.open

      # The newest line of its history, where that is an agreement: Records::Agreement or nil.
      def agreement = agreement_of(join)

      def owner_id = @snapshot.join_facts[join.key]&.owner_id || join.owner
      def note = @snapshot.join_facts[join.key]&.note.to_s

      # [how many have it at slow counts, how many dance it].
      def have = @have ||= [dancers.count { |who| @snapshot.progress.at_least?(who, @item.key, "slow") }, dancers.size]

      private

      def agreement_of(join)
        newest = @snapshot.agreements[join.key]
        newest if newest&.kind == "agreed"
      end

      def agreed_edges(join)
        row = agreement_of(join)
        row && Core::Joins::Agreement.new(leaving: row.leaving_digest, entering: row.entering_digest)
      end

      def dancers = @snapshot.items.dancers(@item)
      def share = dancers.empty? ? nil : have.first.fdiv(have.last)
    end
  end
end
