# frozen_string_literal: true

require "spec_helper"
require "json_schemer"
require_relative "../../formats/calendar"
require_relative "../support/format_contract"

# Every format that comes in, against files that somebody spoilt.
RSpec.describe Formats do
  sections = [{ id: "s1", name: "Smoke", choreographer: "p1", letter: "A", rows: [{ counts: 8, text: "1 step R" }],
                parts: [{ group: "g1", offset: 4, pauses: [{ after: 4, counts: 2 }] }] },
              { id: "s2", name: "Drift", rows: [{ counts: 10, text: "reach R" }], entry: { facing: 3 } }]
  whole = {
    format: "piece-1", title: "Tide", track: { tempo: [{ from_count: 1, bpm: 112.5 }], length_seconds: 40 },
    groups: [{ id: "g1", name: "Scouts", leader: "p2" }], sections:,
    links: [{ section: "s1", id: "l1" }, { section: "s2", id: "l2" }], show_date: "2027-03-20",
    settings: { full_runs: 3, floor: { width: 12, depth: 8.5 }, deadlines: { dress: "2027-03-18" },
                opening: { pose: "huddle" } },
    people: [{ id: "p1", name: "Odalys Venn", teaches: true, adult: true },
             { id: "p2", name: "Νίκη Αδά", dances: true }],
    cast: [{ person: "p2", groups: ["g1"] }],
    formations: [{ link: "l1", moment: "entry", spots: [{ person: "p2", x: -1.5, y: 2, facing: 1 }] }],
    versions: [{ section: "s1", kind: "seated", eights: { "1": "1 lean" } }],
    version_people: [{ kind: "seated", person: "p2", section: "s1" }],
    agreements: [{ join: 1, words: "breathe", by: "Perrin Slate", day: "2027-01-07", changed: ["leaving"] }],
    join_facts: [{ join: 1, owner: "p1", note: "slowly" }], understudies: [{ person: "p2", covers: "p1" }]
  }
  plan = { format: "plan-problem-1", grid: 5, dancers: ["a"], tasks: [{ id: "x", kind: "learn", minutes: 10,
                                                                        dancers: ["a"], choreographers: [] }],
           windows: [{ id: "w", date: "2027-01-01", start: "18:00", end: "19:00", rooms: [{ id: "r", capacity: 9 }] }] }

  describe Formats::PieceFile do
    let(:sample) { whole.to_json }

    def read(bytes) = described_class.parse(bytes)
    def again(text) = described_class.render(described_class.parse(text).first)

    it_behaves_like "a format that comes in"

    it "reads everything that hangs on a piece, and writes it back the same" do
      content, notes = read(sample)
      expect(notes).to be_empty
      expect([content.show_date, content.leaders, content.cast])
        .to eq [Date.new(2027, 3, 20), { "g1" => "p2" }, { "p2" => ["g1"] }]
      expect(content.formations.first.spots.first.to_a).to eq ["p2", -1.5, 2, 1, false]
      expect(content.work.sections.first.parts.first.pauses).to eq [[4, 2]]
      written = again(sample)
      expect(again(written)).to eq written
      expect(JSON.parse(written)).to include(*whole.keys.map(&:to_s))
      path = File.expand_path("../../docs/formats/piece-1.schema.json", __dir__)
      schema = JSONSchemer.schema(JSON.parse(File.read(path, encoding: "UTF-8")))
      expect(schema.validate(JSON.parse(written)).map { |fault| fault["error"] }).to be_empty
    end

    {
      "somebody who is not there" => [{ cast: [{ person: "p9" }] }, 'cast[0].person: names "p9", which is not there'],
      "a link there is not" => [{ formations: [{ link: "l9", moment: "entry" }] },
                                'formations[0].link: names "l9", which is not there'],
      "a day there is not" => [{ show_date: "2027-02-30" },
                               'show_date: must be a day such as 2027-03-20, got "2027-02-30"'],
      "a join after the last" => [{ agreements: [{ join: 2, by: "P", day: "2027-01-01" }] },
                                  "agreements[0].join: must be a whole number from 1 to 1, got 2"],
      "an odd floor" => [{ settings: { floor: { width: "wide", depth: 4 } } },
                         'settings.floor.width: must be a number from 1 to 200, got "wide"']
    }.each do |what, (odd, fault)|
      it "names #{what}" do
        expect { read(whole.merge(odd).to_json) }
          .to raise_error(Formats::FaultyFile) { |e| expect(e.faults).to eq [fault] }
      end
    end

    it "says what it leaves out" do
      _, notes = read(whole.merge(lights: [1]).merge(people: [{ id: "p1", name: "O", mail: "x" },
                                                              whole[:people][1]]).to_json)
      expect(notes).to eq ["lights: unknown, ignored", "people[0].mail: unknown, ignored"]
    end
  end

  describe Formats::PlanProblem do
    let(:sample) { plan.to_json }

    def read(bytes) = described_class.parse(bytes)

    it_behaves_like "a format that comes in"
  end

  describe Formats::CallOrder do
    let(:sample) { { format: "call-order-1", durations: [2, 4, 3], calls: %w[110 011] }.to_json }

    def read(bytes) = described_class.parse(bytes)

    it_behaves_like "a format that comes in"
  end

  describe Formats::Roster do
    let(:sample) { "name,groups,leader\nAda Quill,\"Scouts; Solo\",yes\nZoë Oakes,Nurses,\n" }

    def read(bytes)
      described_class.parse(bytes).faults.each { |fault| expect(fault.subject.to_s.size).to be <= 80 }
    end

    it_behaves_like "a format that comes in"
  end

  describe Formats::Calendar do
    let(:sample) do
      event = described_class::Event.new(uid: "1@x", date: Date.new(2027, 2, 2), start: 1080, finish: 1170,
                                         summary: "Choir", sequence: 1, changed_at: Time.utc(2027, 1, 5))
      described_class.render([event], name: "Ada", zone: "Europe/London")
    end

    def read(bytes)
      described_class.parse(bytes, zone: "Europe/London", days: Date.new(2027, 1, 1)..Date.new(2027, 12, 31))
    end

    it_behaves_like "a format that comes in"
  end
end
