# frozen_string_literal: true

require "zip"
require_relative "formats"
require_relative "studio_archive/parts"
require_relative "studio_archive/reader"

# A file with an odd date in it is no reason to print.
Zip.warn_invalid_date = false

module Formats
  # A whole studio as one file: a zip of manifest.json, a JSON list of rows for each table (tables/NAME.json) and the
  # files that were attached (files/ID). With rubyzip.
  module StudioArchive
    NAME = "studio-archive-1"

    # io: a file open for writing, or a StringIO; manifest: {"studio", "zone", "settings", "made_on"}; tables:
    # anything with each { |name, JSON text of rows, how many| }; files: anything with each { |id, IO| }. After each
    # part the block is told. Answers nothing.
    def self.render(io, manifest:, tables:, files:)
      counts = {}
      written = Zip::OutputStream.write_buffer(io) do |zip|
        tables.each do |name, text, count|
          counts[name] = count
          entry(zip, "tables/#{name}.json") { zip.write(text) }
          yield if block_given?
        end
        files.each do |id, file|
          entry(zip, "files/#{id}") { IO.copy_stream(file, zip) }
          yield if block_given?
        end
        entry(zip, "manifest.json") do
          zip.write(JSON.pretty_generate({ "format" => NAME, **manifest, "rows" => counts }))
        end
      end
      written.flush
    end

    def self.entry(zip, name)
      zip.put_next_entry(name)
      yield
    end
    private_class_method :entry

    # io: a file open for reading, or a StringIO => Reader, whose manifest is read. Raises FaultyFile.
    def self.parse(io) = Reader.new(Parts.new(io))

    # The same of parts that were unpacked already: anything with names and read(name) => bytes.
    def self.of(parts) = Reader.new(parts)
  end
end
