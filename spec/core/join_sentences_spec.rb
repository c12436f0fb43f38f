# frozen_string_literal: true

# Every mend as a sentence the room understands, and what each edit does to a piece.
RSpec.describe Core::Joins::MendWriter do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def mends(smoke, drift, opening: nil)
    piece = work(link(smoke), link(drift))
    found = Core::Joins::Review.new(piece).joins.first.findings
    found = Core::Joins::Ends.new(piece, opening:).opening if opening
    found.flat_map(&:mends).map { |mend| [mend.change, described_class.new(piece, say: SAY).text(mend)] }
  end

  let(:step) { typed("Drift", "1 step R 2 step L") }

  {
    "a foot nobody spoke of" => [["1-8 arms open", {}], ["1 step R", {}],
                                 [:state_edge, "Smoke leaves the right foot free"]],
    "weight on the wrong foot" => [["1 step L 8 step R", {}], ["1 step R", {}],
                                   [:weight_change, "End Smoke with a weight change on 8"]],
    "the other way to free it" => [["1 step L 8 step R", {}], ["1 step R", {}],
                                   [:touch_instead, "End Smoke with a touch on 8 instead of a step"]],
    "the first eight turned over" => [["1 step L 8 step R", {}], ["1 step R", {}],
                                      [:mirror_eight, "Start Drift on the other foot: turn its first eight over"]],
    "the whole link on the other side" => [["1 step L 8 step R", {}], ["1 step R", {}],
                                           [:mirror_link, "Dance all of Drift on the other side here"]],
    "facing away from the entry" => [["1 step R 7-8 turn half right", {}], ["1 step L", { entry: { facing: 1 } }],
                                     [:enter_facing, "Start Drift facing back"]],
    "a turn that is missing" => [["1 step R 7-8 turn half right", {}], ["1 step L", { entry: { facing: 1 } }],
                                 [:turn, /\ATurn half (left|right) from \S+ in the last eight of Smoke\z/]],
    "an entry nobody stated a place for" => [["1 step R 2 step L", { exit: { place: "left" } }],
                                             ["1 step R", { entry: { place: "right" } }],
                                             [:state_edge, "Drift starts at left"]],
    "a cloth the entry does not expect" => [["1 pick up cloth 8 step R", {}], ["1 step L", { entry: { hands: "" } }],
                                            [:put_down, /\ALet go of the cloth on \S+ of Smoke\z/]],
    "a cloth nobody spoke of again" => [["1 pick up cloth 8 step R", {}], ["1 step L", {}],
                                        [:state_edge, "Drift: cloth in hand"]],
    "a cloth that is wanted" => [["1 pick up cloth 5 put down cloth", {}], ["1 step L", { entry: { hands: "cloth" } }],
                                 [:pick_up, /\AHave the cloth in hand on \S+ of Smoke\z/]],
    "a level that differs" => [["1 step R 8 lie down", {}], ["1 step R", {}],
                               [:level_change, /\ABe standing by the end of Smoke, from \S+ on\z/]],
    "a pickup with no room for it" => [["1 step R 8 step L & step R", {}], ["& step R 1 step L", {}],
                                       [:drop_pickup, "Start Drift on one, without the pickup"]]
  }.each do |what, ((before, stated), (after, entry), (change, sentence))|
    it "says what to do about #{what}" do
      found =
        mends(typed("Smoke", before, **stated), typed("Drift", after, **entry)).filter_map do |kind, text|
          text if kind == change
        end
      expect(found).to include(sentence),
                       "only #{mends(typed('Smoke', before, **stated), typed('Drift', after, **entry))}"
    end
  end

  it "says what the first entry may do about the opening picture" do
    opening = { weight: :right, facing: 5, level: :standing }
    expect(mends(step.with(entry: { facing: 1 }), step, opening:).map(&:last)).to include(
      "Start Drift facing back",
      "Dance all of Drift on the other side here"
    )
  end

  it "mends an eight that was put in at one repeat there, and leaves its section alone" do
    inserted = Core::Piece::Row.new(counts: 4, text: "1 step L 4 step R")
    smoke = typed("Smoke", "1 step R 2 step L")
    piece =
      work(
        link(smoke),
        link(step),
        link(smoke, changes: Core::Piece::Changes.new(insert_after: { 1 => [inserted] })),
        link(step)
      )
    found = Core::Joins::Review.new(piece).joins[2].findings.find(&:clash?)
    mended = found.mends.first.apply(piece)
    expect(mended.links[2].danced.map { |danced| danced.row.text }).to eq [
      "1 step R 2 step L",
      "1 step L 4 step R & close L"
    ]
    expect([mended.sections.map { |section| section.rows.map(&:text) }, mended.links[0].danced.size]).to eq [
      piece.sections.map { |section| section.rows.map(&:text) },
      1
    ]
  end
end

RSpec.describe Core::Piece::StructureReader do
  it "cuts what no dance has to what one may have, and says where" do
    structure =
      described_class.new("Smoke, 500 eights\nDrift, 3 eights + 99\nComb, 9000 counts", teachers: []).structure
    expect(structure.findings.map { |found| [found.line, found.kind] }).to eq [
      [1, :odd_length],
      [2, :odd_length],
      [3, :odd_length]
    ]
    expect(structure.sections.map { |each| [each.rows.size, each.rows.last] }).to eq [[200, 8], [4, 64], [200, 8]]
  end
end
