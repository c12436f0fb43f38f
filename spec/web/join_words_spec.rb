# frozen_string_literal: true

require "web_helper"

# What the rules find, said so that a director understands it; and the drawings that go with it.
RSpec.describe App::Shared::JoinWording do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def link(section, **facts) = Core::Piece::Link.new(section:, **facts)

  def held(first, second, mirrored: false, **facts)
    piece = Core::Piece::Work.new(title: "", sections: [first, second], links: [link(first, mirrored:), link(second)])
    Core::Joins::Review.new(piece, **facts).joins.first
      .then { |found| [found, described_class.new(found.join, piece, groups: { 7 => "Scouts", 8 => "Nurses" })] }
  end

  def said(state, first, second, **facts)
    found, words = held(first, second, **facts)
    finding = found.findings.find { |each| each.state == state }
    [words.sentence(finding), words.leaving(finding), words.entering(finding)]
  end

  it "says the free foot on either side" do
    expect(said(:weight, typed("Smoke", "1 step R"), typed("Drift", "1 step R"))).to eq [
      "Smoke ends: weight on the right. Drift starts: steps out on the right.",
      "weight on the right",
      "steps out on the right"
    ]
    expect(
      said(:weight, typed("Smoke", "1-8 freestyle"), typed("Drift", "1 step R"))[1]
    ).to eq "dancer's choice of foot"
    expect(said(:weight, typed("Smoke", "1 clap"), typed("Drift", "1 step R"))[1]).to eq "not stated"
  end

  it "says facing with the counts there are, and what is only supposed" do
    back = typed("Smoke", "1 step R 7-8 turn half right")
    expect(
      said(:facing, back, typed("Drift", "1 step L", entry: { facing: 1 })).first
    ).to eq "Smoke ends: back. Drift starts: front, with 0 counts between."
    expect(said(:facing, back, typed("Drift", "1 step L"))).to eq [
      "Smoke ends: back. Drift starts: not stated (front, as everybody starts).",
      "back",
      "not stated (front, as everybody starts)"
    ]
    expect(said(:facing, typed("Smoke", "1-8 freestyle"), typed("Drift", "1 step L"))[1]).to eq "as the dancer likes"
    expect(
      said(:level, typed("Smoke", "1-7 kneel"), typed("Drift", "1 step L")).first
    ).to eq "Smoke ends: kneeling. Drift starts: standing, with 1 count between."
  end

  it "says whose the last count is" do
    expect(said(:counts, typed("Smoke", "1 step R 5 reach over 6"), typed("Drift", "1 step L"))).to eq [
      "The last move of Smoke goes on for 2 counts that Drift uses.",
      "goes on for 2 more",
      "begins on one"
    ]
    expect(said(:counts, typed("Smoke", "1 step R 8 step L & step R"), typed("Drift", "& step L 1 step R"))).to eq [
      "Both Smoke and Drift dance on the last half count.",
      "ends within its line",
      "begins with a pickup"
    ]
    expect(
      said(:counts, typed("Smoke", "1 step R", expected_counts: 9), typed("Drift", "1 step L")).first
    ).to eq "Smoke is said to have 9 counts and is written with 8."
  end

  it "gives both numbers where groups do not meet" do
    parts = [Core::Piece::Part.new(group: 7), Core::Piece::Part.new(group: 8, offset: 4)]
    expect(said(:groups, typed("Smoke", "1 step R", parts:), typed("Drift", "1 step L"))).to eq [
      "Smoke: Scouts is 4 early; the next wants all together.",
      "Scouts is 4 early",
      "the next wants all together"
    ]
    late = typed("Smoke", "1-8 step R", "Nurses 4 later, all meet 1")
    expect(said(:groups, late, typed("Drift", "1 step L")))
      .to eq ["Smoke: Nurses ends on 20; all meet on 17.", "Nurses ends on 20", "all meet on 17"]
    held = parts.map { |part| part.group == 7 ? part.with(hold_after: 4) : part }
    expect(said(:groups, typed("Smoke", "1 step R", parts: held), typed("Drift", "1 step L"))[1]).to eq "all end on 12"
  end

  it "says metres, places, hands, what a count is, and another repeat" do
    expect(said(:place, typed("Smoke", "1-6 step R"), typed("Drift", "1 step L"), metres: { 1 => 5.44 })).to eq [
      "Somebody has 5.4 m to go in 2 counts before Drift.",
      "up to 5.4 m to go",
      "up to 5.4 m to go"
    ]
    expect(
      said(
        :place,
        typed("Smoke", "1-8 step R, ends at the wings"),
        typed("Drift", "1 step L", entry: { place: "centre" })
      ).first
    ).to eq "Smoke ends: wings. Drift starts: centre."
    expect(said(:hands, typed("Smoke", "1 pick up cloth"), typed("Drift", "1 step L"))).to eq [
      "Smoke ends: cloth in hand. Drift starts: not stated.",
      "cloth in hand",
      "not stated"
    ]
    expect(
      said(
        :hands,
        typed("Smoke", "1 pick up cloth 5 put down cloth"),
        typed("Drift", "1 step L", entry: { hands: "cloth" })
      )[
        1
      ]
    ).to eq "empty hands"
    expect(
      said(:tempo, typed("Smoke", "1 step R", time: "half"), typed("Drift", "1 step L", time: "double")).first
    ).to include("A count is two beats (half time) in Smoke and half a beat (double time) in Drift")
  end

  it "draws every way a join can stand, titled in words" do
    drawn = %i[fits agreed caution question clash changed apart].map { |state| App::Shared::SeamMark.svg(state) }
    expect(drawn).to all(match(%r{\A<svg[^>]*role="img"[^>]*><title>[^<]+</title>}))
    expect(drawn.uniq.size).to eq 7
  end
end

RSpec.describe App::Spacing::StretchText do
  it "reads what a group does besides, writes it the same, and refuses what it cannot read" do
    ["9-16 hold, 17-20 off", "3 free", "-4-0 off, 1-8 move", ""].each do |text|
      expect(described_class.render(described_class.parse(text))).to eq text
    end
    expect(described_class.parse("9 – 16 HOLDS; 20 freestyle")).to eq [[9, 16, :holding], [20, 20, :free]]
    ["later", "9-4 hold", "9 fly", "hold 9"].each { |text| expect(described_class.parse(text)).to be_nil }
  end
end

RSpec.describe "who may change what of a section", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:odalys) { studio.people.find_by!(name: "Odalys") }
  let(:own) { piece.sections.find_by!(name: "Opening Walk") }
  let(:other) { piece.sections.find_by!(name: "Spiral") }

  def tried(section)
    link = piece.links.find { |each| each.section_id == section.id }
    {
      "/pieces/#{piece.id}/sections/#{section.id}/versions/seated" => {
        "rows" => {},
        "lock_version" => "0"
      },
      "/pieces/#{piece.id}/sections/#{section.id}/parts" => {
        "parts" => {},
        "lock_version" => section.reload.lock_version.to_s
      },
      "/pieces/#{piece.id}/sections/#{section.id}/steps" => {
        "rows" => {
          "1" => {
            "text" => "1 step R",
            "counts" => "8"
          }
        },
        "lock_version" => section.reload.lock_version.to_s
      },
      "/pieces/#{piece.id}/links/#{link.id}/formation/pattern" => {
        "moment" => "entry",
        "pattern" => "circle"
      },
      "/pieces/#{piece.id}/links/#{link.id}/formation/remove" => { "moment" => "entry" },
      "/pieces/#{piece.id}/links/#{link.id}/changes" => {
        "rows" => {},
        "lock_version" => piece.reload.lock_version.to_s
      }
    }
  end

  it "is kept to the one who teaches it, whatever is sent, and to nobody once the piece is put away" do
    make_cast(piece)
    member = make_member(studio, "choreographer", person: odalys)
    sign_in member
    codes = lambda do |section|
      tried(section).keys.map { |path| send_form(path, tried(section)[path]).then { last_response.status } }.uniq
    end
    expect([codes.call(own), codes.call(other)]).to eq [[302], [403]]
    piece.reload.update!(archived_at: NOW)
    expect(codes.call(own)).to eq [403]
    sign_in make_member(studio, "assistant")
    expect(codes.call(own)).to eq [403]
  end

  it "brings back an earlier version with edges, holds and all, and loses no formation" do
    sign_in director
    make_cast(piece)
    group = piece.groups.first
    own.parts.create!(studio:, group:, hold_after: 4)
    own.update!(stated_entry: { "facing" => 5 }, time: "half")
    App::Shared::KeepRevision.new(piece.reload, director.account).record("kept")
    number = piece.revisions.maximum(:number)
    send_form "/pieces/#{piece.id}/links/#{piece.links.first.id}/formation/pattern",
              { "moment" => "entry", "pattern" => "circle" }
    own.update!(stated_entry: {}, time: "normal")
    own.parts.first.update!(hold_after: 0, start_offset: 8)
    own.eights.first.update!(text: "1 jump")
    ids = piece.links.order(:position).ids
    send_form "/pieces/#{piece.id}/revisions/#{number}/restore", {}
    expect(
      [
        own.reload.stated_entry,
        own.time,
        own.parts.first.hold_after,
        own.parts.first.start_offset,
        own.eights.reload.first.text
      ]
    ).to eq [{ "facing" => 5 }, "half", 4, 0, ""]
    expect([piece.reload.links.order(:position).ids, piece.formations.count]).to eq [ids, 1]
  end
end
