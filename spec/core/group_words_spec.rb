# frozen_string_literal: true

# What eights say of groups, in words, and what follows from it: lengths, lines, joins, what there is to learn.
RSpec.describe Core::Movement::GroupWords do
  let(:groups) { [[1, "Scouts"], [2, "Nurses"], [3, "Builders"]] }

  def said(text) = described_class.of(text, groups.map(&:last))

  {
    "walk R L. Builders: stomp R L" => { main: "walk R L", own: { "Builders" => "stomp R L" } },
    "Scouts, nurses: 1-8 stomp. Others: 1-8 clap" => {
      main: "1-8 clap", own: { "Scouts" => "1-8 stomp", "Nurses" => "1-8 stomp" }
    },
    "Scouts step R, Nurses step L" => { main: "", own: { "Scouts" => "step R", "Nurses" => "step L" } },
    "step R, the Nurses begin 8 later" => { main: "step R", later: { "Nurses" => 8 } },
    "Scouts first, then the others four later" => { first: ["Scouts"], later: { nil => 4 } },
    "walk, each two counts after the last" => { main: "walk", apart: [[], 2] },
    "Builders, Scouts, Nurses, each 2 counts after the last" => { apart: [%w[Builders Scouts Nurses], 2] },
    "Scouts and Nurses hold 8, others step touch R L" => {
      main: "step touch R L", holds: [[%w[Scouts Nurses], 1, 8]]
    },
    "step touch, builders hold 5-8" => { main: "step touch", holds: [[["Builders"], 5, 8]] },
    "Reds: step R" => { main: "", own: { "Reds" => "step R" } }
  }.each do |text, meant|
    it "understands #{text}" do
      expect(said(text).to_h.slice(*meant.keys)).to eq meant
    end
  end

  it "takes nobody for a group who is a part of the body, a step or a version, and a name within a sentence" do
    [
      "Arms: up 1 down 2", "Turns: quarter R", "Standing: step R. Seated: clap", "hold hands with the Nurses",
      "each arm 4 counts", "odds step R, evens step L", "wave like Scouts, step R"
    ].each do |text|
      expect([said(text).any?, said(text).main]).to eq([false, text]), text
    end
  end

  it "writes what it read so that it reads the same again, on either side" do
    [
      "1 step R 2 step L, Nurses 4 later", "1 step R, Scouts first, then the others 4 later",
      "1 step R, Scouts hold 5-8",
      "1 step R, each 2 counts after the last", "1 step R. Builders: 1 stomp L 2 stomp R, L free"
    ].each do |text|
      reader = Core::Movement::Reader.new(names: groups.map(&:last))
      line = reader.read(text).first
      again = reader.read(Core::Movement::Writer.new(line).text).first
      expect([again.groups, again.moves.map(&:meaning)]).to eq [line.groups, line.moves.map(&:meaning)]
      expect(Core::Movement::Mirror.line(Core::Movement::Mirror.line(line))).to eq line
    end
  end

  describe "in a piece" do
    def section(id, *texts, **facts)
      rows = texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }
      Core::Piece::Section.new(id:, name: "Part #{id}", rows:, cast_groups: groups, **facts)
    end

    def work(*sections)
      links = sections.map { |section| Core::Piece::Link.new(section:) }
      Core::Piece::Work.new(title: "Tide", groups:, sections:, links:)
    end

    def lanes(work, group)
      Core::Floor::LineChecks.new(work).lanes(1).by_group.fetch(group).map { |lane| [lane.from, lane.to, lane.doing] }
    end

    def join(*sections) = Core::Joins::Review.new(work(*sections)).joins.first

    it "moves length, lines and join together where a group begins later, and who is done holds" do
      late = work(section(7, "step touch R L", "walk R L, Nurses 4 later"), section(8, "1 step R"))
      expect(late.order.links.first.counts).to eq 20
      expect(lanes(late, 2)).to eq [[1, 8, :moving], [9, 12, :holding], [13, 20, :moving]]
      expect(lanes(late, 1)).to eq [[1, 16, :moving], [17, 20, :holding]]
      expect(join(*late.sections).findings.find { |finding| finding.state == :groups }.verdict).to eq :fits
      canon = work(section(7, "walk R L, Builders, Scouts, Nurses, each 2 counts after the last"))
      expect(canon.sections.first.parts.map { |part| [part.group, part.offset, part.hold_after] })
        .to eq [[1, 2, 2], [2, 4, 0], [3, 0, 4]]
      expect(Core::Floor::LineChecks.new(canon).findings).to be_empty
    end

    it "keeps lines that were set by hand, whatever is typed" do
      by_hand = section(7, "walk, Nurses 4 later", parts: [Core::Piece::Part.new(group: 1)])
      expect([by_hand.parts.map(&:group), by_hand.parts_said?]).to eq [[1], false]
    end

    it "uses nothing of what is said as long as somebody has to be asked, and asks that in one tap" do
      open = [section(7, "walk R L, Reds 4 later, Nurses 2 later"), section(8, "1 step R")]
      held = join(*open)
      expect([open.first.parts, held.verdict]).to eq [[], :question]
      question = Core::Joins::Questions.new([held]).all.find { |each| each.kind == :group_who }
      answered = question.mend(:Builders).apply(work(*open))
      expect(answered.sections.first.rows.first.text).to eq "walk R L, Builders 4 later, Nurses 2 later"
      expect(answered.order.links.first.counts).to eq 12
      open = [section(7, "walk R L, Scouts first, then the others"), section(8, "1 step R")]
      question = Core::Joins::Questions.new([join(*open)]).all.find { |each| each.kind == :group_when }
      expect(question.options.map { |option| question.mend(option).apply(work(*open)).order.links.first.counts })
        .to eq [12, 16, 16]
    end

    it "judges a join for whoever has steps of their own there, holds, or is on the other side" do
      following = section(8, "1 step L 2 step R")
      own = ->(text) { join(section(7, text), following) }
      expect(own.call("1 step L 2 step R").groups).to be_empty
      wrong = own.call("1 step L 2 step R. Builders: 1 step R 2 step L")
      expect([wrong.verdict, wrong.groups.map(&:group), wrong.findings.map(&:verdict).uniq])
        .to eq [:clash, [3], [:fits]]
      expect(own.call("1 step L 2 step R. Builders: 1 step L 2 step R 3 clap").groups).to be_empty
      expect(own.call("1 step R 2 step L 3 step R, Builders hold 3-8").groups.map(&:verdict)).to eq [:clash]
      expect(own.call("1 step L 2 step R, Builders hold").groups.map(&:verdict)).to eq [:question]
      parts = [1, 3].map { |group| Core::Piece::Part.new(group:, mirrored: group == 3) }
      turned = join(section(7, "1 step L 2 step R", parts:), following)
      expect(turned.groups.map { |each| [each.group, each.verdict] }).to eq [[3, :clash]]
      asked = Core::Joins::Questions.new([own.call("1 step L 2 step R. Builders: 1-4 arms up")]).all
      expect(asked.map(&:kind)).to eq [:group_end]
      text = asked.first.mend(:left).apply(work(section(7, "1 step L 2 step R. Builders: 1-4 arms up"), following))
      expect(text.sections.first.rows.first.text).to eq "1 step L 2 step R. Builders: 1-4 arms up, L free"
    end

    it "is learned, called and planned as an item of its own by those who dance it" do
      score = work(section(7, "walk R L", "stomp R. Builders: clap"), section(8, "Builders: clap. Others: step R"))
      items = Core::Learning::Items.new(score, cast: { "ada" => [1], "bram" => [3], "cleo" => [1, 3] })
      own = items.all.select { |item| item.kind == :own }
      expect(own.map { |item| [item.key, item.name, item.counts, items.dancers(item)] }).to eq [
        ["s7@3", "Part 7, Builders", 8, %w[bram cleo]],
        ["s8@3", "Part 8, Builders", 8, %w[bram cleo]]
      ]
      expect(items.dancers(items.of_link(1))).to eq %w[ada bram cleo]
      expect(items.dancers(items.of_link(2))).to eq %w[ada cleo]
      tasks = Core::Planning::Schools::AddOn.new(score, items:).tasks
      task = tasks.find { |each| each.id == "learn-s7@3" }
      expect([task.dancers, task.after]).to eq [%w[bram cleo], ["learn-s7"]]
      expect(tasks.find { |each| each.kind == "join" && each.title.include?("into") }.after).to include "learn-s7@3"
    end
  end
end
