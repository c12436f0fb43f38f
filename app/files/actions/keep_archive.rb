# frozen_string_literal: true

module App
  module Files
    module Actions
      # Keeps an archive that was sent, and asks the worker to look at it: what is in it is read by no web process.
      class KeepArchive
        # How much of both ends makes it known again; read before the file is moved to where it is kept.
        ENDS = 1024 * 1024

        # file: of a form, as Rack gives it.
        def initialize(account, file)
          @account = account
          @file = file
        end

        # Value: Records::Transfer.
        def run
          return no("none") unless @file.is_a?(Hash) && @file[:tempfile]&.size&.positive?

          digest
          Shared::Result.ok(sent_before || keep)
        end

        private

        def no(key) = Shared::Result.no({ file: I18n.t("files.archive.#{key}") })

        # Sent twice, it is looked at once.
        def sent_before
          waiting = @account.transfers.where(kind: "unpack", state: %w[sent looking looked]).where.not(file_data: nil)
          waiting.find { |transfer| transfer.report["digest"] == digest }
        end

        def digest
          @digest ||= begin
            file = @file[:tempfile]
            file.rewind
            start = file.read(ENDS)
            file.seek([file.size - ENDS, 0].max)
            Digest::SHA256.hexdigest("#{file.size} #{Digest::SHA256.hexdigest(start + file.read.to_s)}")
          end
        end

        def keep
          @file[:tempfile].rewind
          kept = Shared::ArchiveFile.upload(@file[:tempfile], :store, metadata: { "filename" => "studio.zip" })
          transfer = Records::Transfer.create!(account: @account, kind: "unpack", state: "sent",
                                               report: { "digest" => digest }, file_data: kept.data)
          Jobs::MoveStudio.ask(transfer.id, whose: @account, same: transfer.id)
          transfer
        end
      end
    end
  end
end
