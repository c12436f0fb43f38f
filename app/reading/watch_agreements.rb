# frozen_string_literal: true

module App
  module Reading
    # Does something to a piece and looks at its joins before and after: of those that were agreed and whose edge has
    # changed by it, both teachers are told, and everybody who had it is marked to be checked again. Nothing is reset.
    # All within one transaction, alone on this piece; cells that may be marked are locked before anything else.
    class WatchAgreements
      # The piece before the change, and as it stands after it (asked for when all is written; read once).
      attr_reader :before

      def after = @after ||= PieceSnapshots.written(@piece, before)

      # items: keys of further learning items whose cells the change may mark. Gives the block this object.
      def self.around(piece, account, today, items: [])
        piece.alone(:editing) do
          touched = new(piece, account, today, items)
          result = yield touched
          touched.settle unless result.respond_to?(:ok?) && !result.ok?
          result
        end
      end

      def initialize(piece, account, today, items)
        @piece = piece
        @account = account
        @today = today
        @before = PieceSnapshots.of(piece)
        @agreed = standings(before).select(&:agreed?).to_set { |standing| standing.join.key }
        Records::Mapping::Learnings.hold(piece, [*@agreed, *items])
      end

      def settle
        return if @agreed.empty?

        now = standings(after).select { |standing| standing.changed.any? && @agreed.include?(standing.join.key) }
        now.uniq { |standing| standing.join.key }.each { |standing| one(standing) }
      end

      private

      def standings(snapshot)
        return [] if snapshot.agreements.empty?

        snapshot.review.joins.map { |held| JoinStanding.new(held, snapshot) }
      end

      def one(standing)
        Shared::MarkChanged.new(
          @piece,
          standing.join.key,
          [],
          @account,
          @today,
          note:
            I18n.t(
              "joins.edge_changed",
              edges: Shared::Lists.all(standing.changed.map { |edge| I18n.t("joins.edges.#{edge}") })
            )
        ).run
        Shared::TellTeachers.new(@piece, standing.join, except: @account).run("join_changed", by: @account.name)
      end
    end
  end
end
