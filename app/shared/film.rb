# frozen_string_literal: true

module App
  module Shared
    # What a film or a sound is, as ffprobe reads it, and a copy of it without what it says of itself, as ffmpeg makes
    # it; both within limits (Confined).
    module Film
      # stop: a word for what is wrong with it (:kind, :codec, :broken), or nil; type; codec; seconds: its length.
      Looked = Struct.new(:stop, :type, :codec, :seconds, keyword_init: true)
      # Nothing of where, when and by what it was made.
      WITHOUT = %w[-map_metadata -1 -map_metadata:s -1 -map_chapters -1 -fflags +bitexact -flags +bitexact].freeze
      ENTRIES = "stream=codec_type,codec_name,channels,sample_rate:format=duration"

      module_function

      # {"streams" => [{"codec_type", "codec_name", …}], "format" => {"duration"}}, or nil where it is none.
      def probe(path)
        out, fine = Confined.run("film", "ffprobe", "-v", "error", "-of", "json", "-show_entries", ENTRIES, path)
        found = JSON.parse(out) if fine
        found if found && found["streams"].to_a.any?
      rescue JSON::ParserError
        nil
      end

      def stream(found, kind) = found["streams"].find { |each| each["codec_type"] == kind }

      # A copy with these streams in a file with this ending. Yields it; it is gone afterwards. nil where it cannot be
      # copied.
      def copied(path, ending, *options)
        Tempfile.create(["copy", ".#{ending}"]) do |copy|
          command = ["ffmpeg", "-v", "error", "-y", "-i", path, *options, *WITHOUT, copy.path]
          next unless Confined.run("film", *command).last && File.size?(copy.path)

          copy.rewind
          yield copy
        end
      end
    end
  end
end
