# frozen_string_literal: true

require "json_schemer"
require "open3"
require "tempfile"

RSpec.describe Formats do
  def random_work(random)
    groups = [%w[g1 Scouts], %w[g2 Nurses]]
    sections = Array.new(random.rand(1..4)) { |i| random_section(random, "s#{i}", groups) }
    links = Array.new(random.rand(0..6)) { |i| random_link(random, sections.sample(random:), "l#{i}") }
    track =
      Core::Music::Track.new(
        tempo: [[1, 112], [random.rand(2..90), 96.5]],
        first_count_seconds: 1.5,
        length_seconds: [nil, 200].sample(random:),
        form: [["verse", 32]]
      )
    Core::Piece::Work.new(title: "Tide \"#{random.rand(9)}\"", track:, groups:, sections:, links:)
  end

  def random_row(random)
    Core::Piece::Row.new(
      counts: [8, 8, 4, 10].sample(random:),
      text: ["", "1 step R 2 close L", "1 step R, Nurses 4 later", "walk. Scouts: 1 stomp L"].sample(random:),
      cue: ["", "bell"].sample(random:)
    )
  end

  def random_section(random, id, groups)
    parts =
      groups.sample(random.rand(0..2), random:)
        .map { |group, _| Core::Piece::Part.new(group:, offset: random.rand(0..8), hold_after: random.rand(0..4)) }
    Core::Piece::Section.new(
      id:,
      name: "Part #{id}",
      rows: Array.new(random.rand(1..5)) { random_row(random) },
      parts:,
      cast_groups: groups,
      time: %w[normal half double].sample(random:),
      hazards: [["jump"], []].sample(random:),
      minutes: [nil, 30].sample(random:)
    )
  end

  def random_link(random, section, id)
    changes =
      Core::Piece::Changes.new(
        replace: random.rand < 0.3 ? { 1 => random_row(random) } : {},
        drop: random.rand < 0.2 ? [section.rows.size] : [],
        insert_after: random.rand < 0.2 ? { 0 => [random_row(random)] } : {}
      )
    Core::Piece::Link.new(section:, id:, mirrored: random.rand < 0.3, changes:)
  end

  it "reads back every piece it wrote, and follows its own schema" do
    schema = JSONSchemer.schema(JSON.parse(File.read("docs/formats/piece-1.schema.json", encoding: "UTF-8")))
    each_case(60) do |random|
      work = random_work(random)
      text = Formats::Piece.render(work)
      read, notes = Formats::Piece.parse(text)
      expect([read, notes]).to eq [work, []]
      expect(schema.validate(JSON.parse(text)).map { |e| e["error"] }).to be_empty
    end
  end

  it "reads back every plan problem it wrote, and follows its own schema" do
    schema = JSONSchemer.schema(JSON.parse(File.read("docs/formats/plan-problem-1.schema.json", encoding: "UTF-8")))
    asked =
      Core::Planning::Problem.new(
        dancers: %w[a b],
        choreographers: ["t"],
        now: "w1",
        done: { "l" => 10 },
        show_date: "2027-03-01",
        most_new_eights: 4,
        limits: [{ who: "a", minutes_per_day: 90 }],
        wheels: ["b"],
        stepped: ["loft"],
        windows: [
          window("w1", "2027-01-01", "10:00", "12:00", rooms: [["loft", 4]]),
          window("w2", "2027-01-02", "10:00", "12:00")
        ],
        unavailable: [{ who: "a", date: "2027-01-01", from: 600, to: nil }],
        tasks: [
          task("l", "learn", 30, split: true, dancers: %w[a b], choreographers: ["t"], sections: ["s1"], eights: 3.5),
          task("r", "run", 10, after: ["l"])
        ]
      )
    text = Formats::PlanProblem.render(asked)
    expect(Formats::PlanProblem.parse(text)).to eq [asked, []]
    expect(schema.validate(JSON.parse(text)).map { |e| e["error"] }).to be_empty
  end

  it "keeps every figure of a problem, and says nothing of those that are as usual" do
    plain = Core::Planning::Problem.new(windows: [window("w1", "2027-01-01", "10:00", "12:00")], tasks: [])
    whole = plain.with(
      rests: [[90, 15], [120, 30]], rewarm: [20, 5], frame_minutes: 25, recap: 10, to_music: 5, most_new_eights: 4,
      show_date: "2027-03-01", target_window: "w1", now: "w1", limits: [{ who: "a", minutes_per_day: 120 }],
      dancers: ["a"], wheels: ["a"]
    )
    expect(Formats::PlanProblem.parse(Formats::PlanProblem.render(whole))).to eq [whole, []]
    said = JSON.parse(Formats::PlanProblem.render(plain)).keys
    expect(said & %w[rests rewarm frame_minutes recap to_music wheels lately now target_window]).to eq []
  end

  it "cuts a fault that quotes more than fits, in its middle" do
    [300, 301].each do |size|
      fault = Formats::FaultyFile.new(["x" * size]).faults.first
      expect(fault.size).to eq(size == 300 ? 300 : 283)
    end
  end

  it "tells every fault of a file with its path" do
    text = {
      format: "plan-problem-1",
      grid: 5,
      dancers: ["a"],
      windows: [{ id: "w", date: "2027-01-01", start: "18:00", end: "17:00", rooms: [] }],
      tasks: [
        { id: "x", kind: "learn", minutes: 7, dancers: ["zoe"] },
        { id: "x", kind: "run", minutes: 5, after: ["y"] }
      ]
    }.to_json
    expect { Formats::PlanProblem.parse(text) }.to raise_error(Formats::FaultyFile) { |error|
      expect(error.faults).to contain_exactly(
        "windows[0].end: must be after start",
        'tasks: the id "x" is used 2 times',
        "tasks[0].minutes: must be a multiple of the grid (5), got 7",
        'tasks[0].dancers: names "zoe", which is not in the file',
        'tasks[1].after: names "y", which is not in the file'
      )
    }
  end

  it "survives mutated files with faults, never with a crash" do
    base = Formats::Piece.render(random_work(Random.new(5)))
    each_case(150) do |random|
      text = base.dup
      random.rand(1..6)
        .times { text[random.rand(text.size)] = ["{", "}", "[", "null", "9", "\"", "-", "é"].sample(random:) }
      Formats::Piece.parse(text)
    rescue Formats::FaultyFile => e
      expect(e.faults).to all(match(/\A[^:]+: /))
    end
  end

  describe Formats::Times do
    {
      "4:28" => 268,
      "268" => 268,
      "4 min 28" => 268,
      "4m" => 240,
      "4:61" => nil,
      "soon" => nil
    }.each_pair do |text, seconds|
      it("takes #{text} for #{seconds.inspect} s") { expect(described_class.seconds(text)).to eq seconds }
    end

    it "writes lengths with tenths that never show sixty seconds" do
      expect([59.97, 91.43, -0.34, -0.01].map { |s| described_class.tenth(s) }).to eq %w[1:00.0 1:31.4 -0:00.3 0:00.0]
    end
  end

  describe "bin/chain" do
    def chain(*args, input: "") = Open3.capture3("bin/chain", *args, stdin_data: input)

    it "orders, plans and lists start points, with the exit codes it promises" do
      out, err, status =
        chain(
          "order",
          "-",
          input: { format: "call-order-1", durations: [2, 4, 1], calls: %w[101 011], more: 1 }.to_json
        )
      expect([JSON.parse(out)["waiting"], err, status.exitstatus]).to eq [0, "more: unknown, ignored\n", 0]
      short = {
        format: "plan-problem-1",
        dancers: ["a"],
        windows: [{ id: "w", date: "2027-01-01", start: "18:00", end: "18:30", rooms: [{ id: "r", capacity: 1 }] }],
        tasks: [{ id: "x", kind: "run", minutes: 45, dancers: ["a"] }]
      }
      out, _, status = chain("plan", "-", input: short.to_json)
      expect([JSON.parse(out)["unplaced_minutes"], status.exitstatus]).to eq [45, 3]
      out, = chain("starts", "-", input: Formats::Piece.render(work(link(section("s", 8)))))
      expect(JSON.parse(out)["starts"]).to eq [
        { "name" => "Section s", "link" => 1, "row" => 1, "count" => 1, "seconds" => 0.0, "music_from" => -2.0 }
      ]
    end

    it "says what is wrong on standard error" do
      expect(chain("plan", "-", input: "{").last.exitstatus).to eq 2
      expect(chain("dance").then { |_, err, status| [err.lines.first, status.exitstatus] }).to eq [
        "unknown command \"dance\"\n",
        64
      ]
      expect(chain("plan", "nowhere.json").then { |_, err, status| [err[/the file/], status.exitstatus] }).to eq [
        "the file",
        2
      ]
    end
  end
end
