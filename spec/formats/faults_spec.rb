# frozen_string_literal: true

require "json_schemer"

# Files that are not right: each fault is told with its path, all of them at once, and nothing half-read comes out.
RSpec.describe Formats do
  let(:plan) do
    {
      format: "plan-problem-1",
      grid: 5,
      dancers: ["a"],
      windows: [{ id: "w", date: "2027-01-01", start: "18:00", end: "19:00", rooms: [{ id: "r", capacity: 9 }] }],
      tasks: [{ id: "x", kind: "learn", minutes: 10, dancers: ["a"] }]
    }
  end

  def faults(reader, file)
    reader.parse(file.is_a?(String) ? file : file.to_json)
    []
  rescue Formats::FaultyFile => e
    e.faults
  end

  row = { counts: 8, text: "1 step R" }
  section = { id: "s1", name: "Smoke", rows: [row, row] }
  piece = { format: "piece-1", groups: [{ id: "g" }], sections: [section], links: [{ section: "s1" }] }
  with = ->(**facts) { { **piece, sections: [{ **section, **facts }] } }
  link = ->(**facts) { { **piece, links: [{ section: "s1", **facts }] } }

  {
    "text that is no JSON" => ["{nope", /\Athe file: is not JSON/],
    "a list" => ["[1]", "the file: must be one JSON object, got [1]"],
    "another format" => [{ format: "plan-problem-1" }, 'format: must be "piece-1", got "plan-problem-1"'],
    "no sections" => [{ format: "piece-1" }, "sections: must be a list, got nothing"],
    "two sections of one id" => [{ **piece, sections: [section, section] }, 'sections: the id "s1" is used 2 times'],
    "a section that is a text" => [{ **piece, sections: ["Smoke"], links: [] },
                                   'sections[0]: must be an object, got "Smoke"'],
    "a section without a name" => [with.call(name: " "), "sections[0].name: needs a text"],
    "a row without counts" => [with.call(rows: [{ text: "1 step R" }]), "sections[0].rows[0].counts: must be given"],
    "a row of too many counts" => [with.call(rows: [{ counts: 65 }]),
                                   "sections[0].rows[0].counts: must be a whole number from 1 to 64, got 65"],
    "an unknown time" => [with.call(time: "triple"),
                          'sections[0].time: must be one of normal, half, double, bar3, bar4, got "triple"'],
    "a facing there is not" => [with.call(entry: { facing: 9 }),
                                "sections[0].entry.facing: must be a whole number from 1 to 8, got 9"],
    "an edge that is a list" => [with.call(exit: [1]), "sections[0].exit: must be an object, got [1]"],
    "a part of no group" => [with.call(parts: [{ group: "x" }]),
                             'sections[0].parts[0].group: names "x", which is not in groups'],
    "a stretch that runs backward" => [
      with.call(parts: [{ group: "g", stretches: [{ from_count: 5, to_count: 3, doing: "free" }] }]),
      "sections[0].parts[0].stretches[0].to_count: must not come before from_count"
    ],
    "two tempi at one count" => [
      { **piece,
        track: { tempo: [{ from_count: 1, bpm: 90 },
                         { from_count: 1, bpm: 100 }] } }, "track.tempo: two tempi start at one count"
    ],
    "a link to nothing" => [link.call(section: "s9"), 'links[0].section: names "s9", which is not in sections'],
    "a change of an eight there is not" => [link.call(replace: { "3" => row }),
                                            "links[0].replace.3: must be the number of an eight from 1 to 2"],
    "eights put in that are no list" => [link.call(insert_after: { "1" => row }),
                                         "links[0].insert_after.1: must be a list"],
    "an eight dropped by name" => [link.call(drop: ["last"]),
                                   'links[0].drop: must be a list of whole numbers from 1 to 2, got ["last"]']
  }.each do |what, (file, fault)|
    it "says what is wrong with #{what} in a piece" do
      expect(faults(Formats::Piece, file)).to match([fault])
    end
  end

  window = { id: "w", date: "2027-01-01", start: "18:00", end: "19:00", rooms: [{ id: "r", capacity: 9 }] }
  {
    "a part that is off the grid" => [{ min_part: 12 }, "min_part: must be a multiple of the grid (5), got 12"],
    "a recap that is off the grid" => [{ recap: 7 }, "recap: must be a multiple of the grid (5), got 7"],
    "a window that is off the grid" => [
      { windows: [{ **window, end: "19:01" }] },
      "windows[0].end: length must be a multiple of the grid (5)"
    ],
    "windows out of order" => [
      { windows: [window, { **window, id: "w2", start: "17:00", end: "18:30" }] },
      "windows[1]: must come after the one before, in time order and without overlap"
    ],
    "a day there is not" => [
      { windows: [{ **window, date: "2027-02-30" }] },
      "windows[0].date: is no day of the calendar: 2027-02-30"
    ],
    "a time there is not" => [
      { windows: [{ **window, start: "25:00" }] },
      'windows[0].start: must be a time of day like 18:30, got "25:00"'
    ],
    "an earlier window of another plan" => [{ now: "w9" }, 'now: names "w9", which is not in the file'],
    "a target of another plan" => [{ target_window: "w9" }, 'target_window: names "w9", which is not in the file'],
    "a kind of task there is not" => [
      { tasks: [{ id: "x", kind: "nap", minutes: 5 }] },
      /\Atasks\[0\]\.kind: must be one of make, learn, /
    ],
    "warming up without minutes" => [
      { rewarm: { idle: 20 } },
      "rewarm.minutes: must be a whole number from 1 to 1000000, got nothing"
    ],
    "an id that is a number with a point" => [{ dancers: ["a", 1.5] }, "dancers[1]: must be an id, got 1.5"]
  }.each do |what, (facts, fault)|
    it "says what is wrong with #{what} in a plan" do
      expect(faults(Formats::PlanProblem, plan.merge(facts))).to match([fault])
    end
  end

  it "takes ids as numbers and as objects, and the same everywhere" do
    asked, notes =
      Formats::PlanProblem.parse(
        {
          **plan,
          dancers: [{ id: 7, name: "Ada" }, 8],
          tasks: [{ id: 1, kind: "learn", minutes: 10, dancers: [7, 8], links: ["any"], more: 1 }]
        }.to_json
      )
    expect([asked.dancers, asked.tasks.first.dancers, asked.tasks.first.id, notes]).to eq [
      %w[7 8],
      %w[7 8],
      "1",
      ["tasks[0].more: unknown, ignored"]
    ]
  end

  describe Formats::CallOrder do
    it "says which row of calls does not fit the items, and answers in its format" do
      expect(faults(described_class, { format: "call-order-1", durations: [2, 4, 1], calls: %w[101 10 1x1] })).to eq [
        'calls[1]: must be 3 digits 0 or 1, one for each item, got "10"',
        'calls[2]: must be 3 digits 0 or 1, one for each item, got "1x1"'
      ]
      order, notes = described_class.parse({ format: "call-order-1", durations: [2, 4, 1], calls: %w[101 011] }.to_json)
      expect([JSON.parse(described_class.render(order.best)), notes]).to eq [
        {
          "format" => "call-order-result-1",
          "order" => [1, 3, 2],
          "waiting" => 0,
          "proven" => true,
          "by_person" => [0, 0]
        },
        []
      ]
    end
  end

  it "checks a piece into the shape of its schema, joins, forks and lines included" do
    rows = ->(*texts) { texts.map { |text| Core::Piece::Row.new(counts: 8, text:) } }
    parts = [
      Core::Piece::Part.new(group: "g"),
      Core::Piece::Part.new(group: "h", offset: 4, stretches: [[2, 3, :free]])
    ]
    smoke =
      Core::Piece::Section.new(
        id: "s1",
        name: "Smoke",
        rows: rows.call("1 step L 8 step R", "1 step R 9 step L"),
        parts:
      )
    drift = Core::Piece::Section.new(id: "s2", name: "Drift", rows: rows.call("1 step R 1 kick L"))
    changes = Core::Piece::Changes.new(replace: { 2 => rows.call("1 jump").first })
    work =
      work(
        link(smoke),
        link(drift),
        link(smoke, changes:),
        link(drift),
        groups: [%w[g Scouts], %w[h Nurses]],
        track: Core::Music::Track.new(length_seconds: 10, form: [["verse", 8]])
      )
    found = JSON.parse(Formats::PieceCheck.render(Core::Piece::Check.new(work), say: SAY))
    expect(
      JSONSchemer
        .schema(JSON.parse(File.read("docs/formats/piece-check-1.schema.json", encoding: "UTF-8")))
        .validate(found)
        .map { |e| e["error"] }
    ).to be_empty
    expect(
      [
        found["joins"].map { |join| join["same_as"] },
        found["forks"].map { |fork| fork.values_at("section", "links", "row") }
      ]
    ).to eq [[nil, nil, nil], [["s1", [1, 3], 2]]]
    expect(found["walk"].map { |each| each.values_at("link", "kind") }).to include([1, "too_many"])
    expect(
      found["lanes"].select { |lane| lane["group"] == "h" && lane["link"] == 1 }.map { |lane| lane["doing"] }
    ).to eq %w[off free off moving]
    expect(found["music"].map { |each| each["kind"] }).to include("past_end")
  end

  it "writes start points with the second the music starts" do
    work =
      work(
        link(section_of("Smoke")),
        link(section_of("Drift")),
        track: Core::Music::Track.new(tempo: [[1, 120]], first_count_seconds: 3)
      )
    starts = JSON.parse(Formats::Starts.render(work.order.start_points))["starts"]
    expect(starts.map { |each| each.values_at("name", "count", "seconds", "music_from") }).to eq [
      ["Smoke", 1, 3.0, 1.0],
      ["Drift", 9, 7.0, 5.0]
    ]
  end

  def section_of(name) = Core::Piece::Section.new(id: name, name:, rows: [Core::Piece::Row.new(counts: 8)])

  describe Formats::Times do
    it "reads clocks up to midnight, and writes seconds below zero" do
      expect(["24:00", "24:01", "7:05", "x"].map { |text| described_class.minutes(text) }).to eq [1440, nil, 425, nil]
      expect([-65, 65, 3600].map { |seconds| described_class.length(seconds) }).to eq ["-1:05", "1:05", "60:00"]
    end
  end
end
