# frozen_string_literal: true

module App
  module Jobs
    # Packs a studio, or unpacks one. Running it again is harmless: only what was asked for and not begun is done.
    class MoveStudio < Long
      WORK = "move"
      def run(transfer_id)
        transfer = Records::Transfer.find_by(id: transfer_id)
        return unless transfer&.begin_work

        report = transfer.kind == "pack" ? Files::Actions::PackStudio.new(transfer).run : unpack(transfer)
        transfer.update!(state: "done", share: 1, report:)
      rescue Formats::FaultyFile => e
        transfer.update!(state: "failed", report: { "faults" => e.faults })
      rescue StandardError
        transfer&.update!(state: "failed", report: { "faults" => [I18n.t("files.archive.failed")] })
        raise
      end

      def dropped(transfer_id)
        faults = { "faults" => [I18n.t("files.archive.failed")] }
        Records::Transfer.where(id: transfer_id).where.not(state: "done").update_all(state: "failed", report: faults)
      end

      private

      def unpack(transfer)
        File.open(Shared::ArchiveFile.path(transfer), "rb") do |file|
          report = Files::Actions::UnpackStudio.new(transfer, Formats::StudioArchive.parse(file)).run
          Shared::ArchiveFile.remove(transfer)
          report
        end
      end
    end
  end
end
