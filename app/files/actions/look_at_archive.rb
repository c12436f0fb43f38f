# frozen_string_literal: true

module App
  module Files
    module Actions
      # Reads what an archive says of itself and keeps the file until somebody says yes.
      class LookAtArchive
        # file: of a form, as Rack gives it.
        def initialize(account, file)
          @account = account
          @file = file
        end

        # Value: Records::Transfer.
        def run
          return no("none") unless @file.is_a?(Hash) && @file[:tempfile]&.size&.positive?

          sent = sent_before
          return Shared::Result.ok(sent) if sent

          archive = Formats::StudioArchive.parse(@file[:tempfile])
          report = { "manifest" => archive.manifest, "files" => archive.files.size, "digest" => digest,
                     "strangers" => archive.strangers.first(20), "unknown" => unknown(archive).first(20) }
          Shared::Result.ok(keep(report))
        rescue Formats::FaultyFile => e
          no("not_read", why: e.faults.first.delete_prefix("the file: "))
        end

        private

        # Sent twice, it is looked at once.
        def sent_before
          waiting = @account.transfers.where(kind: "unpack", state: "looked").where.not(file_data: nil)
          waiting.find { |transfer| transfer.report["digest"] == digest }
        end

        def digest = @digest ||= Digest::SHA256.file(@file[:tempfile].path).hexdigest

        def no(key, **words) = Shared::Result.no({ file: I18n.t("files.archive.#{key}", **words) })
        def unknown(archive) = archive.tables - Records::Mapping::StudioRows::TABLES - ["changed_edges"]

        def keep(report)
          @file[:tempfile].rewind
          kept = Shared::ArchiveFile.upload(@file[:tempfile], :store, metadata: { "filename" => "studio.zip" })
          Records::Transfer.create!(account: @account, kind: "unpack", state: "looked", report:, file_data: kept.data)
        end
      end
    end
  end
end
