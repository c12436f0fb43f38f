# frozen_string_literal: true

require "open3"

module App
  module Shared
    # Clips that belong to a piece, kept under FILES_DIR by the files library. What a file is and how long it takes is
    # read from its content by ffprobe; what it says of where and by what it was filmed is left out by ffmpeg, which
    # copies picture and sound as they are into a file of its own.
    class ClipFile < Shrine
      plugin :determine_mime_type, analyzer: :marcel, analyzer_options: { filename_fallback: false }

      # Kinds of file by how they begin.
      TYPES = %w[video/mp4 video/quicktime video/webm video/x-matroska application/x-matroska].freeze
      # What browsers show, and in which kind of file each is kept.
      CODECS = { "h264" => "mp4", "vp8" => "webm", "vp9" => "webm", "av1" => "webm" }.freeze
      SECONDS = 60
      # stop: a word for what is wrong with it (:kind, :codec, :broken), or nil; type; seconds: its length.
      Looked = Struct.new(:stop, :type, :codec, :seconds, keyword_init: true)

      class << self
        def storages = { store: Shrine::Storage::FileSystem.new(Settings.files_dir, prefix: "clips") }

        # What a file is: a Looked.
        def look(io)
          type = determine_mime_type(io).to_s
          return Looked.new(stop: :kind, type:) unless TYPES.include?(type)

          probed(io.path, type)
        end

        # The file without what it says of itself. Yields it; it is gone afterwards. nil where it cannot be copied.
        def stripped(path, codec)
          Tempfile.create(["clip", ".#{CODECS.fetch(codec)}"]) do |copy|
            next unless copied?(path, copy.path, codec)

            copy.rewind
            yield copy
          end
        end

        # Where the file of an upload stands, or nil where somebody took it away.
        def path(upload)
          file = kept(upload)
          file.storage.path(file.id).to_s if file.exists?
        end

        def kept(upload) = uploaded_file(upload.file_data)

        private

        def probed(path, type)
          text = run("ffprobe", "-v", "error", "-of", "json", "-show_entries",
                     "stream=codec_type,codec_name:format=duration", path)
          found = text && JSON.parse(text)
          picture = found && found["streams"].to_a.find { |stream| stream["codec_type"] == "video" }
          return Looked.new(stop: found && found["streams"].to_a.any? ? :kind : :broken, type:) unless picture

          codec = picture["codec_name"]
          return Looked.new(stop: :codec, type:, codec:) unless CODECS.key?(codec)

          Looked.new(type:, codec:, seconds: found.dig("format", "duration")&.to_f)
        end

        def copied?(path, copy, codec)
          streams = %w[-map 0:v:0 -map 0:a:0?]
          without = %w[-map_metadata -1 -map_chapters -1 -fflags +bitexact]
          run("ffmpeg", "-v", "error", "-y", "-i", path, *streams, *without, "-c", "copy", *faststart(codec), copy)
        end

        # So that it plays before all of it is there.
        def faststart(codec) = CODECS.fetch(codec) == "mp4" ? %w[-movflags +faststart] : []

        # What a command prints; nil where it fails or takes too long.
        def run(*command)
          out, status = Open3.capture2("timeout", SECONDS.to_s, *command, stdin_data: "", err: File::NULL)
          out if status.success?
        end
      end
    end
  end
end
