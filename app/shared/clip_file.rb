# frozen_string_literal: true

module App
  module Shared
    # Clips that belong to a piece, kept under FILES_DIR by the files library. What a file is and how long it takes is
    # read from its content; what it says of where and by what it was filmed is left out of a copy of picture and sound.
    class ClipFile < Shrine
      plugin :determine_mime_type, analyzer: :marcel, analyzer_options: { filename_fallback: false }

      # Kinds of file by how they begin.
      TYPES = %w[video/mp4 video/quicktime video/webm video/x-matroska application/x-matroska].freeze
      # What browsers show, and in which kind of file each is kept.
      CODECS = { "h264" => "mp4", "vp8" => "webm", "vp9" => "webm", "av1" => "webm" }.freeze
      STREAMS = %w[-map 0:v:0 -map 0:a:0? -c copy].freeze

      class << self
        def storages = { store: Shrine::Storage::FileSystem.new(Settings.files_dir, prefix: "clips") }

        # What a file is: a Film::Looked.
        def look(io)
          type = determine_mime_type(io).to_s
          TYPES.include?(type) ? probed(io.path, type) : Film::Looked.new(stop: :kind, type:)
        end

        # The file without what it says of itself. Yields it; it is gone afterwards. nil where it cannot be copied.
        def stripped(path, codec, &)
          Film.copied(path, CODECS.fetch(codec), *STREAMS, *faststart(codec), &)
        end

        # Where the file of an upload stands, or nil where somebody took it away.
        def path(upload)
          file = kept(upload)
          file.storage.path(file.id).to_s if file.exists?
        end

        def kept(upload) = uploaded_file(upload.file_data)

        private

        def probed(path, type)
          found = Film.probe(path) or return Film::Looked.new(stop: :broken, type:)
          picture = Film.stream(found, "video") or return Film::Looked.new(stop: :kind, type:)
          codec = picture["codec_name"]
          return Film::Looked.new(stop: :codec, type:, codec:) unless CODECS.key?(codec)

          Film::Looked.new(type:, codec:, seconds: found.dig("format", "duration")&.to_f)
        end

        # So that it plays before all of it is there.
        def faststart(codec) = CODECS.fetch(codec) == "mp4" ? %w[-movflags +faststart] : []
      end
    end
  end
end
