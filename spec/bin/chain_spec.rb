# frozen_string_literal: true

require "json_schemer"
require "open3"

# The core on the command line: JSON in, JSON out, exit codes, faults with their paths; no gems.
RSpec.describe "bin/chain" do
  def chain(*args, input: nil)
    out, err, status =
      Open3.capture3(
        "ruby",
        "--disable-gems",
        File.expand_path("../../bin/chain", __dir__),
        *args,
        stdin_data: input.is_a?(Hash) ? input.to_json : input.to_s
      )
    [out.start_with?("{") ? JSON.parse(out) : out, err, status.exitstatus]
  end

  let(:piece) do
    {
      "format" => "piece-1",
      "title" => "Winter",
      "track" => {
        "tempo" => [{ "from_count" => 1, "bpm" => 120 }],
        "first_count_seconds" => 2.0,
        "length_seconds" => 30
      },
      "groups" => [{ "id" => "scouts", "name" => "Scouts" }, { "id" => "nurses", "name" => "Nurses" }],
      "sections" => [
        {
          "id" => "s1",
          "name" => "Smoke",
          "choreographer" => "k",
          "rows" => [{ "counts" => 8, "text" => "1 step L 8 step R", "name" => "the bellows" }]
        },
        {
          "id" => "s2",
          "name" => "Drift",
          "rows" => [{ "counts" => 8, "text" => "1 step R 2 step L" }],
          "entry" => { "facing" => 1 },
          "parts" => [{ "group" => "scouts" }, { "group" => "nurses", "offset" => 4, "hold_before" => 2 }]
        },
        { "id" => "s3", "name" => "Comb", "rows" => [{ "counts" => 8, "text" => "" }] }
      ],
      "links" => [
        { "section" => "s1" },
        { "section" => "s2" },
        { "section" => "s1", "mirrored" => true },
        { "section" => "s1", "replace" => { "1" => { "counts" => 8, "text" => "1 step L 8 kick R" } } }
      ]
    }
  end

  let(:plan) do
    {
      "format" => "plan-problem-1",
      "grid" => 5,
      "dancers" => %w[ada bram],
      "choreographers" => ["k"],
      "windows" => [
        {
          "id" => "w1",
          "date" => "2027-01-04",
          "start" => "18:00",
          "end" => "19:00",
          "rooms" => [{ "id" => "hall", "capacity" => 9 }]
        },
        {
          "id" => "w2",
          "date" => "2027-01-11",
          "start" => "18:00",
          "end" => "19:00",
          "rooms" => [{ "id" => "hall", "capacity" => 9 }]
        }
      ],
      "unavailable" => [{ "who" => "bram", "date" => "2027-01-04", "from" => "18:30" }],
      "tasks" => [
        {
          "id" => "learn",
          "kind" => "learn",
          "minutes" => 40,
          "split" => true,
          "dancers" => %w[ada bram],
          "choreographers" => ["k"]
        },
        { "id" => "run", "kind" => "run", "minutes" => 15, "dancers" => %w[ada bram], "after" => ["learn"] }
      ]
    }
  end

  it "walks and joins a piece by the fixed names, valid by its schema" do
    out, err, code = chain("check", "-", input: piece)
    expect([code, err]).to eq [0, ""]
    expect(
      JSONSchemer.schema(JSON.parse(File.read("docs/formats/piece-check-1.schema.json"))).validate(out).to_a
    ).to be_empty
    expect(out.slice("total_counts", "unplaced")).to eq("total_counts" => 36, "unplaced" => ["s3"])
    first = out["joins"].first
    expect(first.slice("index", "same_as", "verdict")).to eq("index" => 1, "same_as" => nil, "verdict" => "clash")
    weight = first["findings"].find { |finding| finding["state"] == "weight" }
    expect([weight["leaving"], weight["entering"], weight["counts_available"]]).to eq [
      { "value" => "right", "source" => "derived" },
      { "value" => "left", "source" => "derived" },
      0.0
    ]
    expect(weight["mends"].map { |mend| mend["text"] }).to include("End Smoke with a weight change on 8")
    expect(
      out["lanes"]
        .select { |lane| lane["link"] == 2 && lane["group"] == "nurses" }
        .map { |lane| lane.values_at("from_count", "to_count", "doing") }
    ).to eq [[1, 2, "off"], [3, 4, "holding"], [5, 12, "moving"]]
    expect(out["forks"].map { |fork| fork.values_at("links", "row", "count") }).to eq [[[1, 4], 1, 8.0]]
  end

  it "reads a list line by line, valid by its schema, and says nothing of what nobody knows" do
    list = "Boats\n\nIntro, two eights, Mel\nintro again, other side\nPebbles, 4"
    out, err, code = chain("structure", "-", input: list)
    expect([code, err]).to eq [0, ""]
    schema = JSONSchemer.schema(JSON.parse(File.read("docs/formats/structure-1.schema.json")))
    expect(schema.validate(out).to_a).to be_empty
    expect(out.values_at("title", "total_counts")).to eq ["Boats", nil]
    expect(out["people"]).to eq [{ "name" => "Mel", "sure" => false }]
    expect(out["lines"].map { |line| [line["line"], line["links"].size, line["questions"].size] }).to eq [
      [1, 0, 0], [2, 0, 0], [3, 1, 0], [4, 1, 0], [5, 0, 1]
    ]
    expect(out["lines"][3]["links"].first).to eq(
      { "section" => "Intro", "counts" => 16, "teachers" => [], "repeat_of" => "Intro", "mirrored" => true,
        "changed" => false }
    )
  end

  it "tells where the music starts for every start point, to the millisecond" do
    out, _, code = chain("starts", "-", input: piece)
    expect(code).to eq 0
    expect(
      out["starts"].map { |start| start.values_at("name", "link", "count", "seconds", "music_from") }.first(2)
    ).to eq [["the bellows", 1, 1, 2.0, 0.0], ["Drift", 2, 9, 6.0, 4.0]]
  end

  it "orders the items of a rehearsal" do
    out, _, code =
      chain(
        "order",
        "-",
        input: {
          "format" => "call-order-1",
          "durations" => [2, 4, 1, 3, 3, 2, 5, 7, 6],
          "calls" => %w[110101101 110111010 110000110 100011001 001011110]
        }
      )
    expect([code, out["waiting"], out["proven"], out["order"].sort, out["by_person"].sum]).to eq [
      0,
      17,
      true,
      (1..9).to_a,
      17
    ]
  end

  it "plans, the same for the same seed, and within what is asked" do
    first, second = Array.new(2) { chain("plan", "-", "--seed", "7", "--effort", "quick", input: plan) }
    expect([first.last, first[0].except("seconds")]).to eq [0, second[0].except("seconds")]
    expect(
      first[0].values_at("complete", "ready_window", "ready_bound", "unplaced_minutes", "proven_impossible", "seed")
    ).to eq [true, "w2", "w2", 0, false, 7]
    expect(
      JSONSchemer.schema(JSON.parse(File.read("docs/formats/plan-result-1.schema.json"))).validate(first[0]).to_a
    ).to be_empty
    expect(first[0]["calls"].map { |call| call["who"] }.uniq.sort).to eq %w[ada bram k]
  end

  it "says why no plan is complete, and what was tried and works" do
    short = plan.merge("tasks" => [plan["tasks"][0].merge("minutes" => 100), plan["tasks"][1]])
    out, _, code = chain("plan", "-", "--effort", "quick", input: short)
    expect([code, out["complete"], out["proven_impossible"]]).to eq [3, false, true]
    expect(out["reasons"].first).to include(
      "type" => "choreographer",
      "who" => "k",
      "need" => 100,
      "have" => 90,
      "short" => 10
    )
    expect(out["reasons"].first["text"]).to include("k teaches learn only on w1 and w2")
    expect(out["repairs"].map { |repair| repair["change"] }).to include(
      a_string_matching(/bram comes to all rehearsals|one rehearsal more|fewer passes/)
    )
  end

  it "disturbs an earlier plan little" do
    told = chain("plan", "-", "--effort", "quick", input: plan)[0]["plan"]
    out, = chain("plan", "-", "--effort", "quick", input: plan.merge("plan" => told))
    expect([out["changes"], out["plan"]]).to eq [{ "new_calls" => 0, "cancelled" => 0, "shifted" => 0 }, told]
  end

  {
    "a file that is no JSON" => [%w[check -], "not json", 2, /the file: is not JSON/],
    "another format" => [%w[plan -], '{"format":"piece-1"}', 2, /format: must be "plan-problem-1"/],
    "faults with their paths, all at once" => [
      %w[check -],
      '{"format":"piece-1","links":[{"section":"b"}],' \
      '"sections":[{"id":"a","name":"A","rows":[{"counts":99},{"text":3}]}]}',
      2,
      /sections\[0\]\.rows\[0\]\.counts: must be .*\n.*links\[0\]\.section: names "b"/m
    ],
    "unknown keys, noted and ignored" => [
      %w[check -],
      '{"format":"piece-1","sections":[],"colour":"red"}',
      0,
      /colour: unknown, ignored/
    ],
    "a missing file" => [%w[check no/such/file], "", 2, /No such file/],
    "an unknown command" => [%w[dance x], "", 64, /unknown command "dance"/],
    "an effort that there is none of" => [
      %w[plan - --effort heroic],
      '{"format":"plan-problem-1","windows":[],"tasks":[]}',
      64,
      /--effort is one of quick, normal, long/
    ],
    "a date the calendar does not have" => [
      %w[plan -],
      '{"format":"plan-problem-1","tasks":[],' \
      '"windows":[{"id":"w","date":"2027-02-31","start":"18:00","end":"19:00","rooms":[]}]}',
      2,
      /windows\[0\]\.date: is no day of the calendar/
    ]
  }.each do |what, (args, input, wanted, message)|
    it "answers #{what}" do
      _, err, code = chain(*args, input:)
      expect([code, err]).to match([wanted, message])
    end
  end
end
