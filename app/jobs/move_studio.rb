# frozen_string_literal: true

module App
  module Jobs
    # Packs a studio, or unpacks one. Running it again is harmless: only what was asked for and not begun is done.
    class MoveStudio < Long
      WORK = "move"
      def run(transfer_id)
        transfer = Records::Transfer.find_by(id: transfer_id)
        return unless transfer&.begin_work

        state = transfer.looking? ? "looked" : "done"
        transfer.update!(state:, share: state == "done" ? 1 : 0, report: report(transfer))
      rescue Formats::FaultyFile => e
        transfer.update!(state: "failed", report: { "faults" => e.faults })
      rescue Shared::Confined::TooMuch
        transfer.update!(state: "failed", report: { "faults" => [I18n.t("files.archive.too_much")] })
      rescue StandardError
        transfer&.update!(state: "failed", report: { "faults" => [I18n.t("files.archive.failed")] })
        raise
      end

      def dropped(transfer_id)
        faults = { "faults" => [I18n.t("files.archive.failed")] }
        Records::Transfer.where(id: transfer_id).where.not(state: "done").update_all(state: "failed", report: faults)
      end

      private

      def report(transfer)
        return Files::Actions::LookAtArchive.new(transfer).run if transfer.looking?

        transfer.kind == "pack" ? Files::Actions::PackStudio.new(transfer).run : unpack(transfer)
      end

      def unpack(transfer)
        Files::FolderParts.of(Shared::ArchiveFile.path(transfer)) do |parts|
          report = Files::Actions::UnpackStudio.new(transfer, Formats::StudioArchive.of(parts), parts).run
          Shared::ArchiveFile.remove(transfer)
          report
        end
      end
    end
  end
end
