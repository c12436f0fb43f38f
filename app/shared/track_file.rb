# frozen_string_literal: true

module App
  module Shared
    # Files of sound that belong to a piece, kept under FILES_DIR by the files library. What they are is read from their
    # content. Sound alone is kept: no picture that a file carries, and nothing of what it says of itself.
    class TrackFile < Shrine
      plugin :determine_mime_type, analyzer: :marcel, analyzer_options: { filename_fallback: false }

      # What a browser plays, in which kind of file each is kept.
      ENDINGS = { "mp3" => "mp3", "aac" => "m4a", "alac" => "m4a", "vorbis" => "ogg", "opus" => "ogg",
                  "flac" => "flac" }.freeze
      SOUND = %w[-map 0:a:0 -vn -sn -dn -c copy].freeze
      # A kind of file that would begin with a label of its own.
      UNLABELLED = { "mp3" => %w[-id3v2_version 0 -write_id3v1 0] }.freeze

      class << self
        def storages = { store: Shrine::Storage::FileSystem.new(Settings.files_dir, prefix: "tracks") }

        # What its content is.
        def type(io) = determine_mime_type(io).to_s

        # What a file is: a Film::Looked; one without sound that lasts is none.
        def look(io)
          found = Film.probe(io.path) or return Film::Looked.new(stop: :broken, type: type(io))
          sound = Film.stream(found, "audio")
          seconds = found.dig("format", "duration").to_f
          return Film::Looked.new(stop: :kind, type: type(io)) unless sound && seconds.positive?

          codec = sound["codec_name"]
          Film::Looked.new(type: type(io), codec:, seconds:, stop: (:codec unless ending(codec)))
        end

        # The sound alone. Yields it; it is gone afterwards. nil where it cannot be copied.
        def stripped(path, codec, &)
          Film.copied(path, ending(codec), *SOUND, *UNLABELLED.fetch(ending(codec), []), &)
        end

        def ending(codec) = ENDINGS.fetch(codec) { "wav" if codec.to_s.start_with?("pcm_") }

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
