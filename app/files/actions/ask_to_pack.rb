# frozen_string_literal: true

module App
  module Files
    module Actions
      # Asks the worker to pack a studio; the packs before are taken away. One at a time.
      class AskToPack
        def initialize(studio, account)
          @studio = studio
          @account = account
        end

        def run
          @studio.alone(:packing) do
            packs = @studio.transfers.where(kind: "pack")
            next if packs.where(state: %w[asked working], created_at: (Shared::Clock.now - PATIENCE)..).exists?

            packs.each { |old| Shared::ArchiveFile.remove(old) }
            transfer = packs.create!(account: @account, state: "asked", created_at: Shared::Clock.now)
            Jobs::MoveStudio.ask(transfer.id, whose: @studio, same: "pack")
          end
        end

        # Seconds after which one that is said to be under way is taken for dead.
        PATIENCE = 3600
      end
    end
  end
end
