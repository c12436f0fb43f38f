# frozen_string_literal: true

module App
  module Shared
    # Does something to a piece and looks at its joins before and after: of those that were agreed and whose edge has
    # changed by it, both teachers are told, and everybody who had it is marked to be checked again. Nothing is reset.
    # All within one transaction, alone on this piece; cells that may be marked are locked before anything else.
    class WatchAgreements
      # items: keys of further learning items whose cells the change may mark.
      def self.around(piece, account, today, items: [])
        piece.alone(:editing) do
          touched = new(piece, account, today, items)
          result = yield
          touched.settle unless result.respond_to?(:ok?) && !result.ok?
          result
        end
      end

      def initialize(piece, account, today, items)
        @piece = piece
        @account = account
        @today = today
        @before = agreed
        Records::Mapping::Learnings.hold(piece, [*@before, *items])
      end

      def settle
        return if @before.empty?

        now =
          standings
            .select { |standing| standing.changed.any? && @before.include?(standing.join.key) }
            .uniq { |standing| standing.join.key }
        now.each { |standing| one(standing) }
      end

      private

      def agreed
        @piece.agreements.exists? ? standings.select(&:agreed?).to_set { |standing| standing.join.key } : Set.new
      end

      # Fresh from the rows: the piece may have been changed a moment ago.
      def standings
        snapshot = Reading::PieceSnapshots::Snapshot.new(@piece.studio.pieces.find(@piece.id))
        snapshot.review.joins.map { |held| Reading::JoinStanding.new(held, snapshot) }
      end

      def one(standing)
        MarkChanged.new(
          @piece,
          standing.join.key,
          [],
          @account,
          @today,
          note:
            I18n.t(
              "joins.edge_changed",
              edges: standing.changed.map { |edge| I18n.t("joins.edges.#{edge}") }.join(" and ")
            )
        ).run
        TellTeachers.new(@piece, standing.join, except: @account).run("join_changed", by: @account.name)
      end
    end
  end
end
