# frozen_string_literal: true

module Formats
  module StudioArchive
    # What the parts of an archive hold. parts: anything with names and read(name) => bytes (Parts, or the same
    # unpacked).
    class Reader
      TABLE = %r{\Atables/([a-z_]{1,60})\.json\z}
      FILE = %r{\Afiles/(\d{1,18})\z}

      # {"format", "studio", "zone", "settings", "made_on", "rows" => {table => how many}}
      attr_reader :manifest

      def initialize(parts)
        @parts = parts
        @manifest = read_manifest
      end

      # Names of the tables that are there.
      def tables = @parts.names.filter_map { |name| name[TABLE, 1] }
      def files = @parts.names.filter_map { |name| name[FILE, 1]&.to_i }

      # Parts that are neither, and so are left out.
      def strangers = @parts.names.reject { |name| [/\Amanifest\.json\z/, TABLE, FILE].any? { |own| own.match?(name) } }

      # Rows of a table: [{column => value}].
      def rows(table)
        rows = JSON.parse(text("tables/#{table}.json"))
        return rows if rows.is_a?(Array) && rows.all?(Hash)

        refuse "is not right: tables/#{table}.json is no list of rows"
      rescue JSON::ParserError
        refuse "is not right: tables/#{table}.json is not JSON"
      end

      # An IO of an attached file.
      def file(id) = StringIO.new(@parts.read("files/#{id}"))

      private

      def refuse(why) = raise(FaultyFile, ["the file: #{why}"])
      def text(name) = @parts.read(name).dup.force_encoding(Encoding::UTF_8).scrub("?")

      def read_manifest
        found = JSON.parse(text("manifest.json"))
        refuse "is no archive of a studio" unless found.is_a?(Hash) && found["format"] == NAME
        refuse "is not right: its manifest has no studio" unless found["studio"].is_a?(String)
        found["rows"] = found["rows"].is_a?(Hash) ? found["rows"].select { |_, n| n.is_a?(Integer) } : {}
        found
      rescue JSON::ParserError
        refuse "is not right: manifest.json is not JSON"
      end
    end
  end
end
