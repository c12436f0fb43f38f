# frozen_string_literal: true

module Formats
  module StudioArchive
    # The parts of a zip file. What a part unpacks to is counted while it is unpacked: what the file says of that is not
    # believed.
    class Parts
      include Enumerable

      MEGABYTE = 1024 * 1024
      MAX_ENTRIES = 20_000
      # What all of it may unpack to: so much, and so many times its own size beyond it.
      MAX_UNPACKED = 200 * MEGABYTE
      TIMES = 20
      MAX_TOTAL = 2048 * MEGABYTE
      # And a part of each kind.
      MAX_PART = { "manifest.json" => MEGABYTE, "tables/" => 64 * MEGABYTE, "files/" => 200 * MEGABYTE }.freeze
      CHUNK = 64 * 1024

      # One part.
      Part = Struct.new(:name, :parts, :entry) do
        # Writes what it holds.
        def copy(out) = parts.copy(entry, out)
      end

      def initialize(io)
        @zip = opened(io)
        @left = [MAX_UNPACKED + (TIMES * io.size), MAX_TOTAL].min
        refuse "holds too many parts" if @zip.entries.size > MAX_ENTRIES
      end

      def each(&) = @zip.entries.map { |entry| Part.new(entry.name, self, entry) }.each(&)
      def names = map(&:name)

      # The bytes of a part. Raises FaultyFile where there is none, or more of it than may be.
      def read(name)
        entry = @zip.find_entry(name) or refuse("has no #{name}")
        StringIO.new("".b).tap { |out| copy(entry, out) }.string
      end

      def copy(entry, out)
        most = MAX_PART.find { |start, _| entry.name.start_with?(start) }&.last || MEGABYTE
        input = entry.get_input_stream
        while (bytes = input.read(CHUNK))
          most -= bytes.bytesize
          @left -= bytes.bytesize
          refuse "is not right: #{entry.name} is too large" if most.negative?
          refuse "unpacks to much more than it is" if @left.negative?
          out.write(bytes)
        end
      rescue Zip::Error, Zlib::Error, ArgumentError, NoMethodError, EOFError, RangeError, TypeError
        refuse "is cut off or broken in #{entry.name}"
      end

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
    end
  end
end
