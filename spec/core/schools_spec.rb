# frozen_string_literal: true

require "support/plan_validator"

RSpec.describe Core::Planning::Schools do
  let(:sections) { (1..4).map { |id| section(id, 8, 8, choreographer: id % 2, name: "S#{id}") } }
  let(:piece) do
    work(link(sections[0]), link(sections[1]), link(sections[2]), link(sections[0], mirrored: true), link(sections[3]))
  end
  let(:items) { Core::Learning::Items.new(piece, cast: { a: [], b: [], c: [], d: [], e: [] }) }

  def tasks(key, **facts) = Core::Planning::Schools::ALL.fetch(key).new(piece, items:, **facts).tasks
  def kinds(list) = list.map(&:id).grep(/\A(learn|chain|refine|run)/)

  Core::Planning::Schools::ALL.each_key do |key|
    it "#{key} teaches every section once, makes every distinct join once, waits for nothing that does not come, " \
       "and ends with the runs" do
      list = tasks(key, runs: 3)
      expect(list.map(&:id).tally.values.uniq).to eq [1]
      expect(list.select { |task| task.kind == "learn" }.map(&:id)).to match_array(
        sections.map { |each| "learn-s#{each.id}" }
      )
      expect(
        list.select { |task| task.kind == "join" }.map(&:id).partition { |id| id.start_with?("join-j") }.map(&:size)
      ).to eq [4, 2]
      ids = list.map(&:id)
      list.each { |task| expect(task.before - ids).to be_empty }
      expect { Core::Planning::Problem.new(windows: [], tasks: list).in_order }.not_to raise_error
      expect(list.select(&:run?).map(&:title)).to eq %w[stumble music full_out]
      first_run = list.find(&:run?)
      expect(list.select { |task| %w[learn join].include?(task.kind) }.map(&:id) - first_run.after).to be_empty
    end
  end

  Core::Planning::Schools::ALL.each_key do |key|
    it "#{key} finds room for a drill with whoever is needed, once, and lets no run wait for it" do
      drill = Core::Planning::Schools::Runs::Drill.new(
        subject: "7", minutes: 7, dancers: %i[a b], links: [2, 3], title: "S2 to S3"
      )
      list = tasks(key, runs: 2, drills: [drill])
      own = list.select { |task| task.id == "drill-7" }
      expect(own.map do |task|
        [task.kind, task.minutes, task.dancers, task.links]
      end).to eq [["clean", 10, %i[a b], [2, 3]]]
      expect(own.first.choreographers).to eq [sections[0].choreographer]
      expect(list.flat_map(&:before)).not_to include "drill-7"
      expect(tasks(key, runs: 2, done_runs: 2, drills: [drill]).map(&:id)).to include "drill-7"
    end
  end

  it "differ in what is danced most: the opening from the top, the ending from behind" do
    danced =
      Core::Planning::Schools::ALL.keys.to_h do |key|
        [key, Core::Planning::Schools::Figures.new(tasks(key), piece).danced]
      end
    lead = danced.transform_values { |times| times[2] - times[4] }
    expect(lead["add_on"]).to be_positive
    expect(lead["back"]).to be < lead["sections"]
    expect(danced["sections"].values_at(2, 4).uniq.size).to be <= 2
  end

  it "build in their own order" do
    expect(kinds(tasks("add_on", runs: 1))).to eq %w[
      learn-s1
      learn-s2
      learn-s3
      chain-1-3
      chain-1-4
      learn-s4
      chain-1-5
      run-1
    ]
    expect(kinds(tasks("back", runs: 1))).to eq %w[
      learn-s4
      learn-s1
      learn-s3
      chain-3-5
      learn-s2
      chain-2-5
      chain-1-5
      run-1
    ]
    expect(kinds(tasks("sections", runs: 1))).to eq %w[learn-s1 learn-s2 learn-s3 learn-s4 chain-1-4 chain-1-5 run-1]
    sketch = tasks("sketch", runs: 2)
    expect(kinds(sketch)).to eq %w[
      learn-s1
      learn-s2
      learn-s3
      learn-s4
      chain-1-5
      run-1
      refine-s1
      refine-s2
      refine-s3
      refine-s4
      run-2
    ]
    expect(sketch.find { |task| task.id == "refine-s1" }.after).to eq %w[learn-s1 run-1]
    expect(sketch.find { |task| task.id == "run-2" }.after).to include("refine-s4")
  end

  it "are planned without breaking a rule, over absences, two rooms, minors' limits and rests" do
    each_case(10) do |random|
      people = %i[a b c d e]
      made =
        Core::Planning::Schools::ALL.keys.sample(random:)
          .then { |key| tasks(key, runs: random.rand(1..3), cleaning: [0.0, 0.3].sample(random:)) }
      named =
        made.map do |each|
          each.with(dancers: each.dancers.map(&:to_s), choreographers: each.choreographers.map { |id| "t#{id}" },
                    may: [], groups: [], leads: [])
        end
      windows = Array.new(random.rand(6..12)) do |i|
        window(
          "w#{i}",
          (Date.new(2027, 1, 4) + (i * 3)).iso8601,
          "18:00",
          %w[19:30 20:30].sample(random:),
          rooms: [["big", 9], ["small", 3]].first(random.rand(1..2))
        )
      end
      away =
        Array.new(random.rand(0..4)) do
          {
            who: [*people.map(&:to_s), "t0", "t1"].sample(random:),
            date: windows.sample(random:).date,
            from: nil,
            to: nil
          }
        end
      asked =
        Core::Planning::Problem.new(
          windows:,
          tasks: named,
          dancers: people.map(&:to_s),
          choreographers: %w[t0 t1],
          unavailable: away,
          most_new_eights: 4,
          limits: [{ who: "a", minutes_per_day: 90 }],
          rests: [[120, 15]]
        )
      plan = Core::Planning::Solver.new(asked, effort: "quick").plan
      expect(
        PlanValidator.new(
          JSON.parse(Formats::PlanProblem.render(asked)),
          JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: SAY))
        ).faults
      ).to be_empty
    end
  end

  it "go ahead without whoever is away most, a fifth at the most, who catch up before the join" do
    list = tasks("add_on", away: { a: 0.9, b: 0.7, c: 0.2 })
    learn, caught = %w[learn-s1 catchup-s1].map { |id| list.find { |task| task.id == id } }
    expect([learn.dancers, caught.dancers, caught.after]).to eq [%i[b c d e], [:a], ["learn-s1"]]
    expect(list.find { |task| task.kind == "join" }.after).to include("catchup-s1")
  end

  it "catch up the one dancer who has not seen what all others have, and nobody where all have" do
    many = Array.new(15) { |i| :"p#{i}" }
    items = Core::Learning::Items.new(piece, cast: many.to_h { |who| [who, []] })
    made = lambda do |knowing|
      described_class::AddOn.new(piece, items:, progress: progress_of(knowing.to_h { |who| [[who, "s1"], 3] })).tasks
    end
    list = made.call(many.drop(1))
    expect([list.map(&:id) & %w[learn-s1 catchup-s1], list.find { |task| task.kind == "catchup" }.dancers]).to eq [
      ["catchup-s1"],
      [:p0]
    ]
    expect(
      [list.find { |task| task.kind == "join" }.after, made.call(many).map(&:id) & %w[learn-s1 catchup-s1]]
    ).to eq [%w[catchup-s1 learn-s2], []]
  end

  it "dance rusty sections again" do
    stale = Core::Learning::Cell.new(rung: 4, days: 1, last_danced_on: Date.new(2027, 1, 1))
    cells = { "s2" => %i[a b c d e].to_h { |who| [who, stale] } }
    reviewed = tasks("add_on", progress: Core::Learning::Progress.new(cells), today: Date.new(2027, 2, 20))
    expect(reviewed.map(&:id)).to include("review-s2").and(satisfy { |ids| !ids.include?("learn-s2") })
  end

  it "learn the opening and the ending like joins, once their sections are there" do
    list = tasks("add_on", runs: 1)
    opening, ending = %w[join-o join-e].map { |id| list.find { |task| task.id == id } }
    expect([opening.after, opening.links, ending.after, ending.links, list.last.after & %w[join-o join-e]]).to eq [
      ["learn-s1"],
      [1],
      ["learn-s4"],
      [5],
      %w[join-o join-e]
    ]
    had = %i[a b c d e].to_h { |who| [[who, "o"], 2] }
    expect(tasks("add_on", progress: progress_of(had)).map(&:id)).not_to include("join-o")
  end

  it "go on where a section was left, one eight before, and make what is still being made" do
    long = section(5, *([8] * 8), choreographer: 1, name: "Long")
    piece = work(link(long), link(sections[0]))
    items = Core::Learning::Items.new(piece, cast: { a: [], b: [] })
    lesson = lambda do |section = long, **facts|
      described_class::AddOn
        .new(work(link(section), link(sections[0])), items:, **facts)
        .tasks
        .find { |task| task.id == "learn-s5" }
    end
    expect(
      [lesson.call, lesson.call(reached: { 5 => 4 }), lesson.call(reached: { 5 => 8 })].map do |task|
        [task.minutes, task.eights, task.from_eight]
      end
    ).to eq [[30, 8.0, 1], [20, 5.0, 4], [20, 16 / 3.0, 1]]
    expect(
      [lesson.call(long.with(being_made: true)), lesson.call(long.with(fidelity: "yours"))].map do |task|
        [task.kind, task.minutes]
      end
    ).to eq [["make", 45]] * 2
    expect(lesson.call.kind).to eq "learn"
  end

  it "ask only the share of dancers that is enough" do
    away = { a: 0.9, b: 0.7, c: 0.6 }
    expect(
      [0.8, 0.6, 1.0].map { |quorum| tasks("add_on", away:, quorum:).find { |task| task.id == "learn-s1" }.dancers }
    ).to eq [%i[b c d e], %i[c d e], %i[a b c d e]]
  end

  it "give cleaning its share after the first run, and placing to groups that begin apart" do
    parts = [Core::Piece::Part.new(group: "g"), Core::Piece::Part.new(group: "h", offset: 4)]
    canon = section(9, 8, parts:)
    spread = work(link(canon), link(sections[1]), groups: [%w[g G], %w[h H]])
    list =
      described_class::AddOn.new(
        spread,
        items: Core::Learning::Items.new(spread, cast: { a: ["g"], b: ["h"] }),
        runs: 1,
        cleaning: 0.5
      ).tasks
    expect(list.map(&:kind)).to eq %w[learn place learn join chain join join run clean clean]
    expect(list.find { |task| task.kind == "join" }.after).to include("place-s9")
  end
end

RSpec.describe Core::Planning::Estimate do
  def minutes(section, **facts)
    described_class.new(**facts.slice(:factors, :under_eleven))
      .learn(section, **facts.slice(:bpm, :people, :left))
      .minutes
  end

  let(:eights) { section(1, *([8] * 8), choreographer: 7) }

  it "keeps the handbook's minutes for a large group at 110, and scales them with tempo, group, difficulty and age" do
    expect(described_class::PRESETS.keys.map { |method| minutes(eights.with(method:)) }).to eq [20, 40, 60, 80]
    expect(
      [
        minutes(eights, people: 5),
        minutes(eights, bpm: 60),
        minutes(eights.with(difficulty: 1.5)),
        minutes(eights, under_eleven: true),
        minutes(eights, left: 0.5)
      ]
    ).to eq [30, 45, 60, 60, 20]
  end

  it "asks more for layers one after the other, and for what is made with the dancers" do
    expect(
      [
        minutes(eights),
        minutes(eights.with(layers: "feet_first")),
        minutes(eights.with(being_made: true)),
        minutes(eights.with(method: "told_once", layers: "arms_first"))
      ]
    ).to eq [40, 55, 60, 30]
    lines =
      described_class.new.learn(eights.with(layers: "arms_first", being_made: true))
        .lines
        .to_h { |line| [line.what, line.amount] }
    expect(lines).to include("arms_first" => 1.32, "made with the dancers" => 1.5)
  end

  it "opens to what it is made of" do
    made = described_class.new.one_eight("drill", bpm: 120, people: 10).to_h
    expect(made.transform_values { |value| value.round(2) }).to eq(
      "talk" => 2.0,
      "2 slow passes" => 0.22,
      "2 passes at tempo" => 0.13,
      "resets" => 3.0
    )
    lines =
      described_class
        .new(factors: { 7 => 1.25 })
        .learn(eights, people: 4)
        .lines
        .to_h { |line| [line.what, line.amount] }
    expect(lines).to include(
      "drill" => 5,
      "new eights" => 8.0,
      "as this teacher's rehearsals came out" => 1.25,
      "this tempo and group" => 0.69
    )
  end

  it "believes a teacher's actual minutes the more, the more there are" do
    few, many = [1, 10].map { |times| Core::Planning::Actuals.factor([[30, 45]] * times) }
    expect([few.round(2), many.round(2), Core::Planning::Actuals.factor([])]).to eq [1.1, 1.36, 1.0]
  end
end

RSpec.describe Core::Planning::LessonParts do
  def lesson(minutes, from_eight: 1) = task("learn", "learn", minutes, from_eight:)

  it "gives each part its eights, each going back one" do
    expect(described_class.of(lesson(60), [30, 30], 8)).to eq [[1, 4], [4, 8]]
    expect(described_class.of(lesson(60, from_eight: 4), [40, 20], 8)).to eq [[4, 6], [6, 8]]
    expect(described_class.of(lesson(90), [30, 30], 9)).to eq [[1, 3], [3, 6]]
  end

  it "covers everything in order, whatever the parts" do
    each_case(30) do |random|
      eights = random.rand(1..20)
      from = random.rand(1..eights)
      minutes = Array.new(random.rand(1..5)) { random.rand(3..9) * 5 }
      found = described_class.of(lesson(minutes.sum, from_eight: from), minutes, eights)
      expect([found.first.first, found.last.last]).to eq [from, eights]
      expect(found.each_cons(2).all? { |(_, a), (b, _)| a == b }).to be true
      expect(found).to all(satisfy { |first, last| first.between?(1, last) })
    end
  end
end
