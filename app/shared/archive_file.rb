# frozen_string_literal: true

module App
  module Shared
    # Packed studios, kept under FILES_DIR by the files library for some days.
    class ArchiveFile < Shrine
      class << self
        def storages = { store: Shrine::Storage::FileSystem.new(Settings.files_dir, prefix: "archives") }

        def path(transfer)
          file = transfer.file_data && uploaded_file(transfer.file_data)
          file.storage.path(file.id).to_s if file&.exists?
        end

        # Takes the file away; the row stays, to say what became of it.
        def remove(transfer)
          uploaded_file(transfer.file_data).delete if transfer.file_data
          transfer.update_columns(file_data: nil)
        end
      end
    end
  end
end
