# frozen_string_literal: true

require "tempfile"

module Bench
  # Small files that would cost much: each is answered in words, within the limits of what reads it. Prints the
  # processor time of this process and of its child for each.
  class Costly
    ZONE = "Europe/London"
    Confined = App::Shared::Confined

    attr_reader :trouble

    def initialize = @trouble = []

    # [line to print] a case.
    def run = CASES.map { |name, (bytes, most, read)| line(name, instance_exec(&bytes), most, read) }

    def line(name, bytes, most, read)
      before = cpu
      answer = answered(name, bytes, read)
      seconds = cpu - before
      @trouble << "#{name}: #{seconds.round(1)} s, more than #{most}" if seconds > most
      format("%-34s %8d bytes, %4.1f s of processor time: %s", name, bytes.bytesize, seconds, answer)
    end

    def answered(name, bytes, read)
      read.call(bytes)
    rescue Formats::FaultyFile => e
      e.faults.first[0, 70]
    rescue Confined::TooMuch
      "ended: takes too much"
    rescue StandardError => e
      @trouble << "#{name}: #{e.class} #{e.message.lines.first.to_s[0, 100]}"
      "trouble"
    end

    def cpu = Process.times.to_a.sum

    def calendar(*lines)
      ["BEGIN:VCALENDAR", "BEGIN:VEVENT", "UID:1", "DTSTART:20270101T180000Z", *lines, "END:VEVENT", "END:VCALENDAR"]
        .join("\r\n")
    end

    def zip(name, size)
      require "zip"
      out = Zip::OutputStream.write_buffer do |file|
        file.put_next_entry(name)
        size.times { file.write(" " * (1024 * 1024)) }
      end
      out.string
    end

    BUSY = lambda do |bytes|
      days = { from: "2027-01-01", to: "2027-12-31" }
      said = Confined.read_bytes("calendar", bytes, zone: ZONE, **days)
      said["fault"] || "#{said['busy'].size} times"
    end
    ROSTER = ->(bytes) { Formats::Roster.parse(bytes).lines.to_s }
    MANIFEST = ->(bytes) { Confined.read_bytes("manifest", bytes) && "read" }
    UNPACK = ->(bytes) { Dir.mktmpdir { |dir| Confined.read_bytes("archive", bytes, into: dir) && "unpacked" } }
    WORKBOOK = ->(bytes) { Confined.read_bytes("workbook", bytes) && "read" }
    # {what => [bytes, seconds at most, a way to read]}
    CASES = {
      "a rule that never comes true" =>
        [-> { calendar("RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30") }, 8, BUSY],
      "30,000 exceptions" =>
        [-> { calendar("RRULE:FREQ=DAILY", *Array.new(30_000) { "EXDATE:20270102T180000Z" }) }, 8, BUSY],
      "a roster of a million lines" => [-> { "Ada Quill,Scouts\n" * 1_000_000 }, 5, ROSTER],
      "a zip of 1.2 GB of blanks" => [-> { zip("tables/notes.json", 1200) }, 30, UNPACK],
      "a manifest of 157 MB" => [-> { zip("manifest.json", 157) }, 8, MANIFEST],
      "a workbook of 300 MB" => [-> { zip("xl/worksheets/sheet1.xml", 300) }, 20, WORKBOOK]
    }.freeze
    private_constant :CASES, :BUSY, :ROSTER, :MANIFEST, :UNPACK, :WORKBOOK
    private :line, :answered, :cpu, :calendar, :zip
  end
end
