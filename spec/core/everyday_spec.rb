# frozen_string_literal: true

require_relative "../../bench/all"
require_relative "../../bench/reading"

# What teachers really type and say, written down with what it means: spec/corpus/everyday.json and
# everyday_joins.json. Not every line can be right; what must hold are the shares, of the half that the reader was made
# with and of the half that was kept apart.
RSpec.describe Core::Movement do
  def corpus(name) = JSON.parse(File.read(File.expand_path("../corpus/#{name}.json", __dir__), encoding: "UTF-8"))
  def halves(cases) = cases.each_slice((cases.size + 1) / 2).to_a
  def share(marks, mark) = marks.count(mark).fdiv(marks.size)

  def marks(lines, *values)
    lines.flat_map { |given| Bench::Reading.judge(given, Bench::Reading.ending(given)).values_at(*values) }
  end

  def verdicts(joins) = joins.map { |given| [given["verdict"], Bench::Reading.verdict(given)] }

  it "understands the everyday, and claims little that is not so" do
    halves(corpus("everyday")).each do |lines|
      weight = marks(lines, "weight")
      all = marks(lines, "weight", "level", "facing")
      aggregate_failures do
        expect(share(weight, :right)).to be >= 0.85
        expect(share(weight, :wrong)).to be <= 0.06
        expect(share(all, :right)).to be >= 0.86
        expect(share(all, :wrong)).to be <= 0.055
      end
    end
  end

  it "understands what is spoken as it is spoken" do
    lines = corpus("everyday_spoken")
    all = marks(lines, "weight", "level", "facing")
    expect([share(all, :right), share(all, :wrong)]).to match [be >= 0.9, be <= 0.025]
  end

  it "says of joins what is so, hardly ever that they fit where they do not, and asks seldom" do
    halves(corpus("everyday_joins")).each do |joins|
      said = verdicts(joins)
      known = said.filter_map { |meant, verdict| [meant, verdict] unless meant == "ask" }
      aggregate_failures do
        expect(said.count { |meant, verdict| meant == verdict }.fdiv(said.size)).to be >= 0.85
        expect(said.count { |meant, verdict| verdict == "fits" && meant != "fits" }.fdiv(said.size)).to be <= 0.06
        expect(said.count { |meant, verdict| verdict == "clash" && meant != "clash" }.fdiv(said.size)).to be <= 0.06
        expect(known.count { |_, verdict| verdict == "ask" }.fdiv(known.size)).to be <= 0.2
      end
    end
  end

  def ending(text, counts: 8, **facts)
    described_class::Walk.new(described_class::Reader.new.read(text, counts:), **facts).exit
  end

  describe "level and facing, by the way it is said" do
    {
      "a quarter in figures" => ["step R, 1/4 R", [:standing, 3]],
      "three eighths" => ["3/8 R to USR cnr, stp L", [:standing, 4]],
      "half way round" => ["turn half way round over your left shoulder", [:standing, 5]],
      "where the audience is then" => ["step L with the audience on your right", [:standing, 7]],
      "the whole time is no whole turn" => ["step R, feet don't move the whole time", [:standing, 1]],
      "a foot that goes to the back turns nobody" => ["step R, left leg sweeps round to the back", [:standing, 1]],
      "who looks at the side wall faces front" => ["step R, nod to the side wall", [:standing, 1]],
      "both knees, one after the other" => ["right knee goes down, left knee joins it", [:kneeling, 1]],
      "into the knees is no kneeling" => ["sink into your knees", [:low, 1]],
      "low with the feet wide is still low" => ["get really low, feet wide", [:low, 1]],
      "in the air all of one" => ["run L, leap R, in the air on 8", [:air, 1]],
      "heels go down and nobody with them" => ["step R, feet together, heels up 3, down 4", [:standing, 1]],
      "what it is like nobody does" => ["step R, arms go as if you were falling", [:standing, 1]],
      "low to high is where the arms are" => ["step R, finger clicks, low to high", [:standing, 1]],
      "what is let go falls" => ["step R, reach for the stars, and let it drop", [:standing, 1]],
      "who lets themselves fall lies" => ["step R, let yourself fall to the floor", [:floor, 1]],
      "who does not fall does not lie" => ["step R, nobody falls over please", [:standing, 1]]
    }.each do |name, (text, expected)|
      it "#{name}: #{text}" do
        body = ending(text)
        expect([body.level.value, body.facing.value]).to eq expected
      end
    end

    it "claims no floor where only a roll or a dive is typed" do
      expect(["roll", "dive 1", "melt 3"].map { |text| ending(text).level.source }.uniq).to eq [:supposed]
    end

    it "claims nothing behind a thing that is done or has counts of its own" do
      texts = ["step R, do the robot across 3-6", "step R, pirate business 3-6", "step R, work the floor 3-6"]
      expect(texts.map { |text| ending(text).weight.source }.uniq).to eq [:supposed]
      expect(ending("step R, think of pirates 3-6").weight.source).to eq :derived
    end

    it "takes the lion, the floor bit and the usual ending for something danced that nobody knows" do
      texts = ["the lion x2", "the floor bit", "usual ending"]
      kinds = texts.map { |text| described_class::Reader.new.read(text).first.moves.first.kind }
      expect(kinds.uniq).to eq [:unknown]
    end
  end

  it "lays counts where they are told: once for a row, one after another, a row of six called from five" do
    told = {
      ["one and two and: left right left right", 8] => [0, 6, 12, 18], ["skip 3, 4", 8] => [24],
      ["5 step R 6 step L 1 step R 2 touch L 3-4 hold", 6] => [0, 12, 24, 36, 48],
      ["x2: step R tch L step L tch R", 8] => [0, 12, 24, 36, 48, 60, 72, 84]
    }
    told.each do |(text, counts), places|
      line = described_class::Reader.new.read(text, counts:).first
      expect([line.placed.map(&:at), line.faults]).to eq([places, []]), text
    end
  end

  describe "what belongs to whom" do
    {
      "a side belongs to the part it stands with" => ["step right, left arm up", :right],
      "two feet named with one step are one step" => ["cross right over left", :right],
      "a hip does not step" => ["step L, right hip out", :left],
      "arms that go up get nobody up" => ["kneel 1-4, arms up 5-8", :floor],
      "rolling shoulders go nowhere" => ["step R, roll the shoulders", :right],
      "a correction stands for what was said" => ["step right I mean left", :left],
      "steps go from foot to foot" => ["walk forward R 1 2 3 4", :left],
      "as many as are said" => ["four marches starting right", :left],
      "an amount is no count" => ["hold for 4 counts, step R", :right],
      "a rock has its recover already" => ["rock forward on R, recover L, rock back R, recover", :left],
      "a repeat goes on with the free foot" => ["step touch R, again", :left],
      "the other side is the other foot" => ["step R, touch L, other side", :left],
      "an end in words" => ["wiggle, your right foot is free", :left],
      "both feet in words" => ["step R, feet together", :both],
      "a side in brackets" => ["stomp stomp (R L)", :left],
      "steps before a kick are steps" => ["left right left kick", :left],
      "two sides of one verb" => ["walk L, kicks L and R", :left],
      "what nobody is to do is not done" => ["step R, kick left and don't put it down", :right],
      "how a step of several begins" => ["jazz square crossing left over right", :right],
      "where it goes is no step" => ["walk R L, this is to the left", :left],
      "walking goes on" => ["walk forward 4 starting right, back 3", :right],
      "a row of sides is the feet's" => ["stomps R L R L arms wild", :left],
      "turned to one side on the other foot" => ["quarter turn right stepping left", :left],
      "the supporting leg bears" => ["wiggle, left leg is the standing leg", :left],
      "a turn in figures is a turn" => ["1/4 R, stp L", :left],
      "remarks move nobody" => ["step R, lovely, think of grandma, and no rushing please", :right],
      "who is spoken to is no part of the cast" => ["boys and girls, step R, hold the rest", :right],
      "what arms began they go on with" => ["step L, arms float up, and float down, down again", :left],
      "an arm that goes left and right is no step" => ["step L, arm goes left and right", :left],
      "the rest of the count is not the rest of the cast" => ["step R, step L, clap for the rest", :left],
      "feet told after their steps" => ["three steps forward, right left right", :right],
      "a word to begin with is no foot" => ["Right, from the top, clap clap", nil],
      "the foot one stands on" => ["wiggle, so the left is what you stand on", :left],
      "who sits in our chairs sits" => ["we're all in our chairs, left knee lifts", :seated],
      "a name before what it is made of is not danced twice" => ["step kick step: step R, kick L, step L", :left],
      "onto a foot one falls as one steps" => ["step R, fall forward onto the left", :left],
      "once more and the last one held" => ["step R L R L, repeat but hold the last count", :right],
      "a foot that closes" => ["step R, step L, R tog 3", :right],
      "the same step the other way" => ["three step turn right, three step turn the other way", :left],
      "a leg that is named after it" => ["step R, touch L, stay on the back leg, the left one", :left],
      "a direction alone after a step is the next one" => ["L side, behind, side, touch", :left],
      "a foot in the air tells which one bears" => ["wiggle, stop with the left foot off the floor", :right],
      "from one foot to the other in hops" => ["hop L, hop R", :right],
      "a rock onto a foot stays there" => ["step L, rock forward onto the right", :right],
      "never with the weight" => ["step L, stamp R but don't put weight in it", :left],
      "a leg held behind is not stepped on" => ["step R, L long behind", :right],
      "a hand that picks up a foot lifts it" => ["step R, pick up the left foot", :right],
      "a count that is something" => ["step R 1, and eight is a touch, not a step", :right],
      "half a shape is no turn" => ["step R, drag L in a half moon", :right],
      "a knee on the floor is no lying down" => ["step L, both feet on the floor", :both]
    }.each do |name, (text, weight)|
      it "#{name}: #{text}" do
        expect(ending(text).weight.value).to eq weight
      end
    end
  end

  describe "where a value comes from" do
    it "is only supposed after a word nobody knows, until the next move that settles it" do
      sources = ["1 step R 2 zigzaggle", "1 step R 2 zigzaggle 3 step L", "1 step R 2 zigzaggle, R free"]
      weights = sources.map { |text| ending(text).weight }
      expect(weights.map { |known| [known.value, known.source] }).to eq [
        %i[right supposed],
        %i[left derived],
        %i[left stated]
      ]
      expect(ending("1 step R 2 zigzaggle 3 step L").facing.source).to eq :supposed
      expect(ending("1 step R 2 zigzaggle arms").weight.source).to eq :derived
    end

    it "is only supposed where some dance it and others do not, or one may choose, until all are named" do
      texts = ["odds kneel 1, evens step R 2", "Nurses step R, Doctors step L", "half up, half down", "step R or L",
               "the front row kneels, the rest step L", "pivot half right", "step R, tap heel L, drop heel L",
               "step L, R meets it", "walk R L, three more of those", "step R, turn to the back 5-8", "sway sway",
               "half the group step R", "step R half turn L", "lunge R with left leg back", "walk R, slide L, switch"]
      sources = texts.map { |text| ending(text).weight.source }
      expect(sources).to all(be(:supposed).or(be(:not_stated)))
      expect(ending("odds kneel 1, evens step R 2").level.source).to eq :supposed
      known = ["odds kneel 1, evens wait, all step R 3", "girls step L R", "walk L R, wave or clap",
               "step L, finish in first", "left together left touch right together right touch"]
      expect(known.map { |text| ending(text).weight.value }).to eq %i[right right right both right]
      expect(known.map { |text| ending(text).weight.known? }).to all be true
      expect(ending("quarter turn right, three more of those").facing.value).to eq 1
    end

    it "is only supposed where a foot was lifted, or which way and how many nobody says" do
      open = ["kick R, kick L", "kick R, ball change", "half turn", "run 4", "vine"]
      sure = ["kick R", "kick R, ball change R", "half turn on L", "run R L R", "vine R"]
      weights = ->(texts) { texts.map { |text| ending("step L, #{text}").weight.sure? } }
      expect([weights[open], weights[sure]]).to eq([[false] * 5, [true] * 5])
      expect(["go down", "lunge low R", "crouch down", "get down to the floor"].map { |text| ending(text).level.sure? })
        .to eq([false, false, true, true])
    end

    it "takes the side after on for the foot that one turns on, and the one before it for the way" do
      turned = ["quarter turn L on R", "quarter left on the right foot", "turn a quarter left on your right foot"]
      bodies = turned.map { |text| ending("step L R, #{text}") }
      expect(bodies.map { |body| [body.weight.value, body.facing.value] }).to all(eq([:right, 7]))
    end

    it "is the convention at a start until something turns or lowers, and weight has none" do
      body = ending("1-8 arms open")
      expect([body.facing.convention?, body.level.convention?, body.weight.known?]).to eq [true, true, false]
      expect([ending("1 turn R").facing.known?, ending("1-2 kneel").level.source]).to eq [false, :derived]
    end

    it "stays the dancer's choice where feet are left free, and seated whatever the feet do" do
      expect(ending("1 step R 2-8 freestyle").weight.source).to eq :choice
      seated = ending("seated: step R, step L, arms up 5")
      expect([seated.weight.value, seated.level.value]).to eq %i[seated seated]
      expect(ending("seated: clap 1-4, stand up 5 6, step R 7").level.value).to eq :standing
    end
  end

  it "neither turns for half way, nor kneels for knees turned in, nor rises for staying low, nor steps to a place" do
    ends = ["step R, half way down, up", "step R, turn in your knees", "kneel, stay low", "to the wings on the right"]
    bodies = ends.map { |text| ending(text) }
    expect(bodies.first(2).map { |body| body.facing.value }).to eq([1, 1])
    expect(bodies[1..2].map { |body| body.level.value }).to eq(%i[standing kneeling])
    expect(bodies.last.weight.value).to be_nil
    round = ["turn and a half to the left", "one and a half turns R", "double turn R and a half"]
    expect(round.map { |text| ending(text).facing.value }).to eq([5, 5, 5])
    expect(ending("walk two and a half counts").facing.value).to eq(1)
  end

  it "counts several of a step in two words, and as many as the counts that are said behind it" do
    texts = ["four step touches, right first", "walk left, 8 counts", "body roll, 4 counts"]
    moves = texts.map { |text| described_class::Reader.new.read(text).flat_map(&:moves) }
    expect(moves.first.map(&:step)).to eq(["step-touch"] * 4)
    expect(moves[1].size).to eq 8
    expect(moves.last.first.length).to eq 48
    expect(ending("four step touches, right first").weight.value).to eq :left
    expect(ending("take two steps to the right").weight.source).not_to eq :derived
  end

  it "takes furniture, likeness and places for what they are" do
    standing = ["stand on the chair", "arms like a big wheel", "drag the chair L", "spin the chair to the back"]
    expect(standing.map { |text| ending(text) }.map { |body| [body.level.value, body.facing.value] }).to all(
      eq([:standing, 1])
    )
    open = ["walk off stage left", "run off right", "drag the chair L", "weight on the right hand", "curl up small"]
    expect(open.map { |text| ending(text).weight.source }).to all(eq(:not_stated))
    expect(ending("sit on the chair").level.value).to eq :seated
  end

  it "supposes a landing, a leg that looks crossed and a knee that may be down, and claims none of them" do
    texts = ["suspend on R, swing L through, land", "finish with your left leg crossed in front", "kick to the left",
             "hitch R coming down on 2", "tendu R, pirouette, land back"]
    expect(texts.map { |text| ending(text).weight.source }).to all(eq(:supposed))
    expect(ending("knee R down").level.source).to eq :supposed
    expect(ending("kneel R and slide L out").level.value).to eq :kneeling
  end

  it "keeps alternatives on the same counts as one thing that nobody is said to dance" do
    lines = ["5 spin and wave, or just wave", "7-8 jump or clap", "walk L R, 5-6 wave or clap"].map do |text|
      described_class::Reader.new.read(text).first
    end
    expect(lines.map { |line| line.moves.map { |move| [move.text, move.count] }.last }).to eq [
      ["spin and wave, or just wave", 5.0],
      ["jump or clap", 7.0],
      ["wave or clap", 5.0]
    ]
    ends = lines.map { |line| described_class::Walk.new([line]).exit }
    expect(ends.map { |body| [body.weight.value, body.facing.sure?] }).to eq [[nil, false], [nil, true], [:right, true]]
  end

  it "makes no crowd of moves of repeats of repeats" do
    lines = described_class::Reader.new.read("step R L R L, x99, x99, x99, again, do that twice")
    expect(lines.sum { |line| line.moves.size }).to be <= 2_000
  end

  it "keeps every word of what it does not know, and no count before the first" do
    line = described_class::Reader.new.read("1 weathervane 3 step R (like rain) 5 zig zag").first
    expect(line.moves.select { |move| move.kind == :unknown }.map(&:text)).to eq ["weathervane", "zig zag"]
    expect(line.notes).to eq ["like rain"]
    each_case(60) do |random|
      texts = corpus("everyday").map { |given| given["text"] }
      lines = described_class::Reader.new.read(texts.sample(random:), counts: [8, 6, 4].sample(random:))
      expect(lines.flat_map(&:placed).map(&:at).min.to_i).to be >= -12
      expect(lines.flat_map(&:moves).filter_map(&:length).min.to_i).to be >= 0
    end
  end
end

RSpec.describe Core::Movement::Walk do
  def walk(text, **stated)
    described_class.new(Core::Movement::Reader.new.read(text), exit: stated)
  end

  it "never overwrites what is stated, and says where the steps come to something else" do
    other = walk("1 step R 2 step L", weight: :right, facing: 1)
    expect([other.exit.weight.value, other.exit.weight.source]).to eq %i[right stated]
    expect(other.findings.map { |finding| [finding.reason, finding.subject] }).to eq [%i[stated_otherwise weight]]
    expect(walk("1 step R 2 step L", weight: :left).findings).to be_empty
    expect(walk("1 step R 2 weathervane", weight: :left).findings).to be_empty
  end
end
