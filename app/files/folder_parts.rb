# frozen_string_literal: true

module App
  module Files
    # The parts of an archive that was unpacked into a folder: files under their numbers (config/confined.rb).
    class FolderParts
      attr_reader :names

      # Unpacks an archive and yields its parts; the folder is gone afterwards.
      def self.of(path)
        Dir.mktmpdir("unpacked") do |dir|
          yield new(dir, Shared::Confined.read("archive", path, into: dir))
        end
      end

      def initialize(dir, names)
        @dir = dir
        @names = names
      end

      def read(name) = File.binread(path(name))
      def path(name) = File.join(@dir, (names.index(name) || missing(name)).to_s)

      private

      def missing(name) = raise(Formats::FaultyFile, ["the file: has no #{name}"])
    end
  end
end
