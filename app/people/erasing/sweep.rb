# frozen_string_literal: true

module App
  module People
    module Erasing
      # Writes sentences of a studio anew without a name, and what hangs on them: delivered mails, packed studios,
      # what was agreed of joins whose words changed by it, and what every process remembers. In a transaction of the
      # caller's.
      class Sweep
        def initialize(studio, places, keys)
          @studio = studio
          @places = places
          @keys = keys
        end

        def run
          edges = AgreedEdges.new(@studio)
          rows = edges.kept { @places.rewrite(@keys, I18n.t("kept.nobody")) }
          @studio.class.where(id: @studio.id).update_all("forgets = forgets + 1")
          mails = @studio.mails.where(id: rows["mails"]).to_a
          packs = @studio.transfers.to_a
          ActiveRecord.after_all_transactions_commit do
            mails.each { |row| Shared::MailFile.keep(row) if File.exist?(Shared::MailFile.path(row)) }
            packs.each { |pack| Shared::ArchiveFile.remove(pack) }
          end
        end
      end
    end
  end
end
