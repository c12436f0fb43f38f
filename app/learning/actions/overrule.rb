# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Records that a run goes ahead although something blocks it, with the reason and with what blocked it then.
      class Overrule
        MOST = 40

        # sent: {"kind" => of Readiness, "reason"}.
        def initialize(piece, account, sent, today)
          @piece = piece
          @account = account
          @sent = sent
          @today = today
        end

        # Value: Records::Overruling.
        def run
          kind = @sent["kind"].to_s
          return no("kind") unless Core::Learning::Readiness::KINDS.include?(kind)

          blocks = blocks(kind)
          return no("nothing") if blocks.empty?

          row = @piece.overrulings.build(**facts(kind, blocks))
          row.save ? Shared::Result.ok(row) : no("reason")
        end

        private

        def no(key) = Shared::Result.no({ error: I18n.t("ready.faults.#{key}") })

        def blocks(kind)
          snapshot = Reading::PieceSnapshots.of(@piece)
          Core::Learning::Readiness.new(snapshot.items, snapshot.progress, kind:).blocks
        end

        def facts(kind, blocks)
          {
            studio_id: @piece.studio_id,
            kind:,
            reason: @sent["reason"],
            blocks: blocks.size,
            blocked: blocks.first(MOST).map { |block| Shared::ItemName.of(block.item) },
            by_name: @account.name,
            day: @today,
            created_at: Shared::Clock.now
          }
        end
      end
    end
  end
end
