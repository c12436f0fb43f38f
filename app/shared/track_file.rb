# frozen_string_literal: true

module App
  module Shared
    # Files of sound that belong to a piece, kept under FILES_DIR by the files library. What they are is read from their
    # content; what they are called and say of themselves is not believed.
    class TrackFile < Shrine
      plugin :determine_mime_type, analyzer: :marcel, analyzer_options: { filename_fallback: false }

      # What a browser plays.
      TYPES = %w[
        audio/mpeg audio/mp4 audio/x-m4a audio/aac audio/ogg audio/vorbis audio/opus audio/wav audio/x-wav
        audio/vnd.wave audio/flac audio/x-flac video/mp4
      ].freeze

      class << self
        def storages = { store: Shrine::Storage::FileSystem.new(Settings.files_dir, prefix: "tracks") }

        # What its content is.
        def type(io) = determine_mime_type(io).to_s

        # Where the file of an upload stands, or nil where somebody took it away.
        def path(upload)
          file = kept(upload)
          file.storage.path(file.id).to_s if file.exists?
        end

        def kept(upload) = uploaded_file(upload.file_data)
      end
    end
  end
end
