# frozen_string_literal: true

module Formats
  module StudioArchive
    # Reads an archive part by part; what it would unpack to is looked at before anything is.
    class Reader
      MAX_ENTRIES = 20_000
      MAX_UNPACKED = 4 * 1024 * 1024 * 1024
      MAX_TABLE = 400 * 1024 * 1024
      TABLE = %r{\Atables/([a-z_]{1,60})\.json\z}
      FILE = %r{\Afiles/(\d{1,18})\z}

      # {"format", "studio", "zone", "settings", "made_on", "rows" => {table => how many}}
      attr_reader :manifest

      def initialize(io)
        @zip = opened(io)
        entries = @zip.entries
        refuse "holds too many parts" if entries.size > MAX_ENTRIES
        refuse "unpacks to more than 4 GB" if entries.sum(&:size) > MAX_UNPACKED
        @manifest = read_manifest
      end

      # Names of the tables that are there.
      def tables = @zip.entries.filter_map { |entry| entry.name[TABLE, 1] }
      def files = @zip.entries.filter_map { |entry| entry.name[FILE, 1]&.to_i }

      # Parts that are neither, and so are left out.
      def strangers
        @zip.entries.map(&:name).reject { |name| name == "manifest.json" || name.match?(TABLE) || name.match?(FILE) }
      end

      # Rows of a table: [{column => value}].
      def rows(table)
        rows = JSON.parse(part("tables/#{table}.json", MAX_TABLE))
        return rows if rows.is_a?(Array) && rows.all?(Hash)

        refuse "is not right: tables/#{table}.json is no list of rows"
      rescue JSON::ParserError
        refuse "is not right: tables/#{table}.json is not JSON"
      end

      # An IO of an attached file.
      def file(id) = StringIO.new(part("files/#{id}", MAX_UNPACKED))

      private

      def refuse(why) = raise(FaultyFile, ["the file: #{why}"])

      def opened(io)
        io.rewind
        refuse "is no archive of a studio" unless io.read(4) == "PK\x03\x04".b
        io.rewind
        Zip::File.open_buffer(io)
      rescue Zip::Error, Zlib::Error, ArgumentError, NoMethodError, SystemCallError, EOFError, RangeError, TypeError
        refuse "is cut off or broken"
      end

      def part(name, most)
        entry = @zip.find_entry(name) or refuse("has no #{name}")
        refuse "is not right: #{name} is too large" if entry.size > most
        text = entry.get_input_stream.read.to_s
        name.start_with?("files/") ? text : text.force_encoding(Encoding::UTF_8).scrub("?")
      rescue Zip::Error, Zlib::Error, ArgumentError, NoMethodError, EOFError, RangeError, TypeError
        refuse "is cut off or broken in #{name}"
      end

      def read_manifest
        found = JSON.parse(part("manifest.json", MAX_TABLE))
        refuse "is no archive of a studio" unless found.is_a?(Hash) && found["format"] == NAME
        refuse "is not right: its manifest has no studio" unless found["studio"].is_a?(String)
        found["rows"] = found["rows"].is_a?(Hash) ? found["rows"].select { |_, n| n.is_a?(Integer) } : {}
        found
      rescue JSON::ParserError
        refuse "is not right: manifest.json is not JSON"
      end
    end
    private_constant :Reader
  end
end
