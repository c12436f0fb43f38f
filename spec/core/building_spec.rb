# frozen_string_literal: true

# The schools of building, worked out on one piece: what comes when, after what, and how long. S1 S2 S3, S1 from the
# other side, S4, and S2 with its second eight changed; two teachers in turn.
RSpec.describe Core::Planning::Schools do
  let(:sections) { (1..4).map { |id| section(id, 8, 8, choreographer: id % 2, name: "S#{id}") } }
  let(:change) { Core::Piece::Changes.new(replace: { 2 => rows(8).first }) }
  let(:piece) do
    work(
      *sections.first(3).map { |each| link(each) },
      link(sections[0], mirrored: true),
      link(sections[3]),
      link(sections[1], id: 6, changes: change)
    )
  end
  let(:items) { Core::Learning::Items.new(piece, cast: { a: [], b: [], c: [] }) }

  def tasks(key, **facts) = described_class::ALL.fetch(key).new(piece, items:, **facts).tasks
  def find(list, id) = list.find { |task| task.id == id }

  def table(list)
    list.map do |task|
      "#{task.id} #{task.minutes} < #{[*task.after, *task.after_window.map { |id| "[#{id}]" }].join(' ')}".strip
    end
  end

  def all_have(*keys, rung: 4) = progress_of(%i[a b c].product(keys).to_h { |who, key| [[who, key], rung] })

  it "adds on from the top" do
    expect(table(tasks("add_on", runs: 0))).to eq <<~TASKS.squeeze(" ").lines(chomp: true)
      learn-s1 10 <
      learn-s2 10 < learn-s1
      join-j1-2 5 < learn-s1 learn-s2
      learn-s3 10 < learn-s2
      join-j2-3 5 < learn-s2 learn-s3
      chain-1-3 5 < learn-s1 learn-s2 join-j1-2 learn-s3 join-j2-3
      join-j3-1m 5 < learn-s3 learn-s1
      chain-1-4 5 < learn-s1 learn-s2 join-j1-2 learn-s3 join-j2-3 chain-1-3 join-j3-1m
      learn-s4 10 < learn-s3
      join-j1m-4 5 < learn-s1 learn-s4
      chain-1-5 5 < learn-s1 learn-s2 join-j1-2 learn-s3 join-j2-3 chain-1-3 join-j3-1m chain-1-4 learn-s4 join-j1m-4
      difference-d6 10 < learn-s2
      join-j4-2 5 < learn-s4 learn-s2 difference-d6
      chain-1-6 5 < learn-s1 learn-s2 join-j1-2 learn-s3 join-j2-3 chain-1-3 join-j3-1m chain-1-4 learn-s4 \
        join-j1m-4 chain-1-5 difference-d6 join-j4-2
      join-o 5 < learn-s1
      join-e 5 < learn-s2 difference-d6
    TASKS
  end

  it "builds back from the ending, teaching a repeat's section where it comes first" do
    list = tasks("back", runs: 0)
    expect(table(list).first(8)).to eq <<~TASKS.squeeze(" ").lines(chomp: true)
      learn-s2 10 <
      difference-d6 10 < learn-s2
      learn-s4 10 < learn-s2
      join-j4-2 5 < learn-s4 learn-s2 difference-d6
      learn-s1 10 < learn-s4
      join-j1m-4 5 < learn-s1 learn-s4
      chain-4-6 5 < learn-s2 difference-d6 learn-s4 join-j4-2 learn-s1 join-j1m-4
      learn-s3 10 < learn-s1
    TASKS
    expect(list.map(&:id).drop(8)).to eq %w[join-j3-1m chain-3-6 join-j2-3 chain-2-6 join-j1-2 chain-1-6 join-o join-e]
    expect([find(list, "learn-s1").links, find(list, "chain-4-6").title, find(list, "chain-1-6").title]).to eq [
      [1],
      %w[S1 S2],
      [nil, "S2"]
    ]
    expect(%w[chain-4-6 chain-3-6 chain-2-6].map { |id| find(list, id).choreographers }).to eq [[1], [1], [0]]
  end

  it "teaches sections first, each teacher in turn, then joins, then ever longer blocks" do
    expect(table(tasks("sections", runs: 0))).to eq <<~TASKS.squeeze(" ").lines(chomp: true)
      learn-s1 10 <
      learn-s2 10 <
      learn-s3 10 < learn-s1
      learn-s4 10 < learn-s2
      difference-d6 10 < learn-s2
      join-j1-2 5 < learn-s1 learn-s2
      join-j2-3 5 < learn-s2 learn-s3
      join-j3-1m 5 < learn-s3 learn-s1
      join-j1m-4 5 < learn-s1 learn-s4
      join-j4-2 5 < learn-s4 learn-s2 difference-d6
      chain-1-4 5 < learn-s1 learn-s2 learn-s3 join-j1-2 join-j2-3 join-j3-1m
      chain-1-6 5 < learn-s1 learn-s2 learn-s3 learn-s4 difference-d6 join-j1-2 join-j2-3 join-j3-1m \
        join-j1m-4 join-j4-2 chain-1-4
      join-o 5 < learn-s1
      join-e 5 < learn-s2 difference-d6
    TASKS
  end

  it "merges blocks two by two, odd ones later" do
    spans = lambda do |size|
      long = work(*Array.new(size) { |i| link(section(i + 1, 8, choreographer: 1)) })
      described_class::ALL["sections"]
        .new(long, items: Core::Learning::Items.new(long, cast: { a: [] }), runs: 0)
        .tasks
        .select { |task| task.kind == "chain" }
        .map { |task| task.id.delete_prefix("chain-") }
    end
    expect([2, 3, 5, 8].map { |size| spans.call(size) }).to eq [[], %w[1-3], %w[1-4 1-5], %w[1-4 5-8 1-8]]
  end

  it "sketches everything at half its minutes and refines it between the first run and the others" do
    list = tasks("sketch", runs: 3)
    rows = table(list.reject { |task| task.kind == "join" })
    expect(rows.first(5)).to eq [
      "learn-s1 5 <",
      "learn-s2 5 <",
      "learn-s3 5 < learn-s1",
      "learn-s4 5 < learn-s2",
      "difference-d6 10 < learn-s2"
    ]
    expect(rows[5]).to start_with "chain-1-6 5 < learn-s1"
    expect(list.map(&:id).last(7)).to eq %w[run-1 refine-s1 refine-s2 refine-s3 refine-s4 run-2 run-3]
    expect(find(list, "refine-s3").after).to eq %w[learn-s3 run-1]
    expect(%w[run-1 run-2 run-3].map { |id| find(list, id).after.grep(/refine/).size }).to eq [0, 4, 4]
    expect(list.grep(->(task) { task.kind == "clean" }).map { |task| [task.minutes, task.split] }).to eq [[5, true]] * 4
  end

  it "refines what the sketch left out also after the first run is behind, until it was held or is learned" do
    later = { runs: 3, done_runs: 1, progress: all_have("s1", "s2", "s3", "s4", rung: 3) }
    list = tasks("sketch", **later)
    expect(
      [
        list.map(&:id).grep(/learn|refine/),
        find(list, "refine-s1").after,
        find(list, "run-2").after.grep(/refine/).size
      ]
    ).to eq [%w[refine-s1 refine-s2 refine-s3 refine-s4], [], 4]
    expect(tasks("sketch", **later, held: { "refine-s1" => 5, "refine-s2" => 3 }).map(&:id).grep(/refine/)).to eq %w[
      refine-s3
      refine-s4
    ]
    expect(tasks("sketch", **later, progress: all_have("s1", "s2", "s3", "s4")).map(&:id).grep(/refine/)).to eq []
  end

  describe "full runs" do
    def runs(**facts) = tasks("add_on", **facts).select(&:run?).map { |task| [task.id, task.title, *task.after_window] }

    it "begin with a stumble-through; half are with music, the rest full out, two a rehearsal at most" do
      expect(runs(runs: 5)).to eq [
        %w[run-1 stumble],
        %w[run-2 music],
        %w[run-3 music run-1],
        %w[run-4 full_out run-2],
        %w[run-5 full_out run-3]
      ]
      expect([0, 1, 2].map { |count| runs(runs: count).map { |run| run[1] } }).to eq [
        [],
        %w[stumble],
        %w[stumble music]
      ]
    end

    it "go on where they were" do
      expect(runs(runs: 5, done_runs: 3)).to eq [%w[run-4 full_out], %w[run-5 full_out]]
      expect(runs(runs: 2, done_runs: 4)).to eq []
    end

    it "give a stumble-through two passes, and every run its resets and five minutes of notes" do
      whole = work(*Array.new(4) { |i| link(section(i + 1, *([8] * 30), choreographer: 1)) })
      list =
        described_class::ALL["add_on"].new(
          whole,
          items: Core::Learning::Items.new(whole, cast: { a: [] }),
          runs: 2
        ).tasks
      seconds = whole.order.length_seconds
      expect(list.select(&:run?).map(&:minutes)).to eq(
        [((2 * (seconds + 20) / 60) + 5), ((seconds + 20) / 60) + 5].map { |minutes| (minutes / 5).ceil * 5 }
      )
    end
  end

  describe "cleaning" do
    def cleaned(**facts)
      tasks("add_on", cleaning: 1.0, **facts)
        .select { |task| task.kind == "clean" }
        .map { |task| [task.id, task.minutes, task.after] }
    end

    it "waits for the first run, and for nothing once that is behind" do
      expect(cleaned(runs: 2).first).to eq ["clean-s1", 10, %w[learn-s1 run-1]]
      expect(cleaned(runs: 2, done_runs: 1, progress: all_have("s1")).first).to eq ["clean-s1", 10, []]
    end

    it "goes on after all runs, less what was held, and never starts anew" do
      expect(cleaned(runs: 1, done_runs: 1).map(&:first)).to eq %w[clean-s1 clean-s2 clean-s3 clean-s4]
      expect(cleaned(runs: 0).size).to eq 4
      expect(
        cleaned(runs: 1, held: { "clean-s1" => 4, "clean-s2" => 6, "clean-s3" => 10 }).map { |row| row.first(2) }
      ).to eq [["clean-s1", 5], ["clean-s4", 10]]
    end
  end

  describe "catching up" do
    def caught(**facts)
      tasks("add_on", **facts)
        .select { |task| task.kind == "catchup" }
        .map { |task| [task.id, task.minutes, task.dancers, task.after] }
    end

    it "takes three fifths of the lesson in steps of five, ten minutes at the least, after it" do
      sections[0] = sections[0].with(minutes: 60)
      expect(caught(missed: { "s1" => [:a], "s2" => [:b] })).to eq [
        ["catchup-s1", 40, [:a], ["learn-s1"]],
        ["catchup-s2", 10, [:b], ["learn-s2"]]
      ]
    end

    it "is for nobody who is not in it, and for nobody who has danced it since" do
      expect(caught(missed: { "s1" => %i[a x] }, progress: progress_of([:a, "s1"] => 1)).map { |row| row[2] }).to eq [
        [:a]
      ]
      expect(caught(missed: { "s1" => [:a] }, progress: progress_of([:a, "s1"] => 2))).to eq []
    end
  end

  describe "reviews" do
    def stale(people)
      people.to_h { |who| [who, Core::Learning::Cell.new(rung: 4, days: 1, last_danced_on: Date.new(2027, 1, 1))] }
    end

    def fresh(people)
      people.to_h { |who| [who, Core::Learning::Cell.new(rung: 4, days: 1, last_danced_on: Date.new(2027, 2, 19))] }
    end

    def reviewed(cells)
      tasks("add_on", progress: Core::Learning::Progress.new(cells), today: Date.new(2027, 2, 20)).map(&:id).grep(
        /review/
      )
    end

    it "come once, where most who had it have it no more, and not for what is to be taught anyway" do
      expect(reviewed("s1" => stale(%i[a b c]))).to eq ["review-s1"]
      expect(reviewed("s1" => { **stale(%i[a b]), **fresh([:c]) })).to eq ["review-s1"]
      expect(reviewed("s1" => { **stale([:a]), **fresh(%i[b c]) })).to eq []
      expect(reviewed("s1" => stale([:a]))).to eq []
      expect(reviewed({})).to eq []
    end
  end

  it "begins a section of two eights again, whatever was shown of it" do
    expect(
      [0, 1, 2].map do |eights|
        find(tasks("add_on", reached: { 1 => eights }), "learn-s1").then do |task|
          [task.from_eight, task.eights.round(2)]
        end
      end
    ).to eq [[1, 2.0], [1, 2.0], [1, 1.33]]
  end

  it "takes up a longer section at the eight it got to, and from its beginning when all of it was shown" do
    sections[0] = section(1, 8, 8, 8, 8, choreographer: 1)
    expect(
      [1, 2, 3, 4].map do |eights|
        find(tasks("add_on", reached: { 1 => eights }), "learn-s1").then do |task|
          [task.from_eight, task.eights.round(2)]
        end
      end
    ).to eq [[1, 4.0], [2, 3.0], [3, 2.0], [1, 2.67]]
  end

  it "places groups only where they begin apart" do
    parts = ->(offset) { [Core::Piece::Part.new(group: "g"), Core::Piece::Part.new(group: "h", offset:)] }
    made = lambda do |offset|
      canon = work(link(section(9, 8, 8, parts: parts.call(offset))), link(sections[1]), groups: [%w[g G], %w[h H]])
      described_class::ALL["add_on"].new(
        canon,
        items: Core::Learning::Items.new(canon, cast: { a: ["g"], b: ["h"] }),
        runs: 0
      ).tasks
    end
    expect([made.call(0), made.call(4)].map { |list| list.map(&:id).grep(/place/) }).to eq [[], ["place-s9"]]
    expect(made.call(4).find { |task| task.kind == "place" }.after).to eq ["learn-s9"]
  end

  it "counts how often each section is danced, in lessons, chains and runs" do
    figures = described_class::Figures.new(tasks("add_on", runs: 1), piece)
    expect(figures.danced).to eq(1 => 14, 2 => 13, 3 => 8, 4 => 6)
    expect(figures.minutes).to eq tasks("add_on", runs: 1).sum(&:minutes)
  end
end

RSpec.describe Core::Planning::Estimate do
  let(:two) { section(1, 8, 8, choreographer: 7, method: "drill") }

  # [minutes, [amount of each line]].
  def opened(breakdown) = [breakdown.minutes, breakdown.lines.map(&:amount)]

  it "talks a join through and dances its two eights slowly, four times, with short resets for few" do
    expect(opened(described_class.new.join(bpm: 120, people: 6))).to eq [5, [2, 0.9, 1.3]]
    expect(opened(described_class.new.join(bpm: 120, people: 7))).to eq [10, [2, 0.9, 3.0]]
    expect(opened(described_class.new.join(bpm: 60, people: 6, passes: 2))).to eq [5, [2, 0.9, 0.7]]
    expect(opened(described_class.new(grid: 1).join(bpm: 40, people: 7, passes: 3))).to eq [7, [2, 2.0, 2.3]]
  end

  it "dances a chain its length, with a reset after each pass and notes" do
    expect(opened(described_class.new.chain(90, people: 10))).to eq [10, [3.0, 1.5, 2]]
    expect(opened(described_class.new(grid: 1).chain(600, people: 4, passes: 1, notes: 5))).to eq [16, [10.0, 0.3, 5]]
    expect(described_class.new.chain(90, people: 10).lines.first.what).to eq "2 × 1.5 min"
  end

  it "walks spots for four minutes, then twice slowly with the long resets" do
    expect(opened(described_class.new(grid: 1).place(60))).to eq [11, [4, 3.3, 3.0]]
    expect(described_class.new.place(30).minutes).to eq 10
  end

  it "adds two minutes to a difference for both endings back to back" do
    plain, longer = [8, 16].map { |counts| described_class.new(grid: 1).difference(two, counts) }
    expect([opened(plain), opened(longer)]).to eq [[7, [1.0, 5, 1.0, 2]], [12, [2.0, 5, 1.0, 2]]]
    expect(described_class.new(grid: 1).difference(two, 16, people: 5).minutes).to eq 9
  end

  it "takes minutes set by hand as they are, or the share that is left, a step of the grid at the least" do
    made = described_class.new(factors: { 7 => 1.5 })
    expect([1.0, 0.5, 0.01].map { |left| made.learn(two.with(minutes: 40), left:).minutes }).to eq [40, 20, 5]
    expect([made.learn(two.with(minutes: 41)).minutes, opened(made.learn(two.with(minutes: 40)))]).to eq [
      45,
      [40, [40]]
    ]
  end

  it "never gives a lesson less than a step, and rounds no exact minutes up" do
    expect(
      [
        described_class.new.learn(two, left: 0.01),
        described_class.new.learn(two),
        described_class.new(grid: 1).learn(two, left: 0.51)
      ].map(&:minutes)
    ).to eq [5, 10, 6]
  end
end
