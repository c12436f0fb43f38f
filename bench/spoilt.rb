# frozen_string_literal: true

require_relative "../spec/support/mutations"

module Bench
  # Spoilt files, ten thousand for every format that comes in: each is read, or answered in words; anything else is
  # trouble.
  class Spoilt
    DAYS = (Date.new(2027, 1, 1)..Date.new(2027, 12, 31))

    def initialize(count, random)
      @count = count
      @random = random
      @trouble = []
    end

    attr_reader :trouble

    # [line to print] a format.
    def run
      formats.map do |name, (sample, read, inside)|
        answers = Array.new(@count) { answered(name, sample, read, inside) }.tally
        format("%-14s %d spoilt: %s", name, @count, answers.sort_by { |key, _| key.to_s }.to_h)
      end
    end

    private

    def answered(name, sample, read, inside)
      bytes = inside && @random.rand < 0.6 ? Mutations.inside(sample, @random) : Mutations.of(sample, @random)
      read.call(bytes)
      :read
    rescue Formats::FaultyFile
      :refused
    rescue StandardError, SystemStackError, NoMemoryError => e
      @trouble << "#{name}: #{e.class} #{e.message.lines.first.to_s[0, 100]} #{e.backtrace&.first}"
      :trouble
    end

    # {name => [good bytes, a way to read, whether parts of an archive are spoilt by themselves]}
    def formats
      {
        "piece file" => [piece, ->(bytes) { Formats::PieceFile.parse(bytes) }],
        "roster" => ["name,groups,leader\nAda Quill,\"Scouts; Solo\",yes\n", lambda { |bytes|
          Formats::Roster.parse(bytes)
        }],
        "count sheet" => ["\t1\t2\t3\n1\tstep R\tclose L\thop\n", ->(bytes) { Formats::CountSheet.parse(bytes) }],
        "workbook" => [workbook, ->(bytes) { Formats::Xlsx.parse(bytes) }, true],
        "calendar" => [calendar, ->(bytes) { Formats::Calendar.parse(bytes, zone: "Europe/London", days: DAYS) }],
        "MIDI" => [midi, ->(bytes) { Formats::Midi.parse(bytes) }],
        "archive" => [archive, ->(bytes) { archived(bytes) }, true]
      }
    end

    def piece
      { format: "piece-1", title: "Tide", groups: [{ id: "g", name: "Scouts" }], links: [{ section: "s", id: "l" }],
        sections: [{ id: "s", name: "Smoke", rows: [{ counts: 8, text: "1 step R" }], parts: [{ group: "g" }] }],
        people: [{ id: "p", name: "Ada", dances: true }], cast: [{ person: "p", groups: ["g"] }],
        formations: [{ link: "l", moment: "entry", spots: [{ person: "p", x: 1, y: 2 }] }] }.to_json
    end

    def workbook
      Formats::Xlsx.render([Formats::Table.new(name: "S", columns: %w[Name Group], rows: [%w[Ada Scouts]])])
    end

    def calendar
      event = Formats::Calendar::Event.new(uid: "1@x", date: Date.new(2027, 2, 2), start: 1080, finish: 1170,
                                           summary: "Choir", sequence: 1, changed_at: Time.utc(2027, 1, 5))
      Formats::Calendar.render([event], name: "Ada", zone: "Europe/London")
    end

    def midi
      track = Core::Music::Track.new(tempo: [[1, 100], [9, 120]])
      Formats::Midi.render(track:, markers: [[1, "Smoke"]], clicks: [], title: "Tide")
    end

    def archive
      out = StringIO.new("".b)
      Formats::StudioArchive.render(out, manifest: { "studio" => "S" }, tables: [["people", '[{"id":1}]', 1]],
                                         files: [[1, StringIO.new("sound")]])
      out.string
    end

    def archived(bytes)
      found = Formats::StudioArchive.parse(StringIO.new(bytes))
      found.tables.each { |table| found.rows(table) }
      found.files.each { |id| found.file(id) }
    end
  end
end
