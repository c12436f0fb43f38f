# frozen_string_literal: true

require "json"
require_relative "core_builders"

# Small made-up worlds, the same for the same seed: a piece of everyday lines with groups and repeats, who has what, an
# evening as it goes, runs with trouble. And what the core says of them, as lines of text that can be read and compared.
class World
  include CoreBuilders

  LINES = JSON.parse(File.read(File.expand_path("../corpus/everyday.json", __dir__), encoding: "UTF-8"))
    .map { |given| given["text"] }.freeze
  PEOPLE = (1..9).to_a.freeze
  GROUPS = { 1 => "Birds", 2 => "Moths", 3 => "Bees" }.freeze

  def initialize(seed) = @random = Random.new(seed)

  # {what is asked => [text, …]}
  def told
    @told ||= {
      "items" => things, "music" => music, "lines" => lines, "joins" => joins, "coverage" => coverage, "ready" => ready,
      "chains" => chains, "catching up" => catching_up, "holes" => holes, "sharing" => sharing, "evening" => evening,
      "runs" => runs, "memory" => memory, "floor" => floor, "score" => score, "check" => check,
      "a new cut" => new_cut
    }
  end

  # Anything as one line of text: what it is made of, without the things it only points at.
  def self.plain(thing)
    case thing
    when Core::Piece::Section, Core::Piece::PlacedLink, Core::Learning::Item then thing.name
    when Core::Piece::Work, Core::Joins::Seam then ""
    when Core::Values::Value then "(#{thing.to_h.map { |key, value| "#{key} #{plain(value)}" }.join(', ')})"
    when Struct, Array then "[#{thing.to_a.map { |each| plain(each) }.join(', ')}]"
    when Hash then "{#{thing.map { |key, value| "#{plain(key)}: #{plain(value)}" }.join(', ')}}"
    when Float then thing.round(3).to_s
    when Rational then thing.to_f.round(3).to_s
    else thing.to_s
    end
  end

  private

  def plain(all) = all.map { |each| self.class.plain(each) }
  def pick(list) = list.sample(random: @random)
  def chance(share) = @random.rand < share

  def row
    text = chance(0.1) ? "" : pick(LINES)
    Core::Piece::Row.new(counts: pick([8, 8, 8, 8, 4]), text:, cue: pick(["", "", "now"]))
  end

  def parts
    return [] if chance(0.5)

    GROUPS.keys.map do |group|
      Core::Piece::Part.new(group:, offset: pick([0, 0, 4, 8]), hold_before: pick([0, 2]), hold_after: pick([0, 0, 4]),
                            mirrored: chance(0.2))
    end
  end

  def sections
    @sections ||= Array.new(5) do |i|
      Core::Piece::Section.new(
        id: i + 1, name: %w[Walk Spiral Comb Drift Swarm][i], rows: Array.new(@random.rand(1..4)) { row }, parts:,
        choreographer: pick([101, 102]), entry: chance(0.3) ? { weight: pick(%i[left right]) } : {}
      )
    end
  end

  def changes(section)
    return Core::Piece::Changes::NONE unless chance(0.25)

    number = @random.rand(1..section.rows.size)
    pick([{ replace: { number => row } }, { drop: [number] }, { insert_after: { number => [row] } }])
      .then { |facts| Core::Piece::Changes.new(**facts) }
  end

  def piece
    @piece ||= begin
      danced = sections + Array.new(3) { pick(sections) }
      links = danced.each_with_index.map do |each, i|
        link(each, id: i + 1, mirrored: chance(0.2), changes: i < 5 ? Core::Piece::Changes::NONE : changes(each))
      end
      track = Core::Music::Track.new(tempo: [[1, 112], [33, pick([84, 126])]], first_count_seconds: 2.5,
                                     length_seconds: pick([120, 200]))
      work(*links, sections:, track:, groups: GROUPS.to_a)
    end
  end

  def cast = @cast ||= PEOPLE.to_h { |person| [person, [pick(GROUPS.keys)]] }
  def items = @items ||= Core::Learning::Items.new(piece, cast:)
  def danced = @danced ||= Core::Piece::Danced.new(piece)
  def order = piece.order

  def progress
    @progress ||= begin
      cells = items.all.flat_map { |item| items.dancers(item).map { |who| [who, item.key] } }
      progress_of(cells.to_h { |cell| [cell, pick([0, 1, 2, 3, 3, 4, 5])] })
    end
  end

  def things
    of_links = (1..order.links.size).map { |index| [items.of_link(index), items.of_join(index), items.in_link(index)] }
    of_items = items.all.map { |item| [item, item.key, items.dancers(item), items.section_of(item)] }
    plain(of_items) + plain(of_links)
  end

  def music = plain(Core::Piece::MusicFit.new(piece).findings)
  def lines = plain(Core::Floor::LineChecks.new(piece, danced:, cast:).findings)

  def joins
    Core::Joins::Review.new(piece, danced:).joins.flat_map do |held|
      agreed = Core::Joins::Agreement.of(held.seam)
      ["#{held.join.key} #{held.verdict} #{agreed.leaving} #{agreed.entering}", *held.findings.map do |finding|
        mends = finding.mends.map { |mend| Core::Joins::MendWriter.new(piece, say: SAY).text(mend) }
        "  #{[finding.verdict, finding.state, finding.counts, *mends].join(' | ')}"
      end]
    end
  end

  def coverage
    told = Core::Learning::Coverage.new(items, progress)
    [*plain(told.lines), *plain(told.holes(Date.new(2027, 2, 2)).to_a)]
  end

  def ready
    Core::Learning::Readiness::KINDS.flat_map do |kind|
      [kind, *plain(Core::Learning::Readiness.new(items, progress, kind:).blocks)]
    end
  end

  def chains
    asked = Core::Learning::LongestChains.new(links: order.links.size, present: PEOPLE.first(7), items:, progress:,
                                              share: 0.6)
    asked.all.flat_map { |chain| [*plain([chain]), *plain(asked.longer(chain))] }
  end

  def catching_up
    asked = Core::Learning::CatchUp.new(items, progress, minutes: ->(_, share) { (share * 20).round }, groups: cast)
    [*plain(asked.everybody), *plain(asked.for(3)), *plain(asked.for(4, among: [1, 2]))]
  end

  def holes
    sheet = Core::Learning::HoleSheet.new(piece, out: [2, 5], items:, progress:, leaders: { 1 => 2, 2 => 7 })
    plain(sheet.places)
  end

  def sharing
    phrases = order.links.map { |each| Core::Piece::Sharing::Phrase.new(each.name, each.counts / 2, each.counts) }
    asked = Core::Piece::Sharing.new(phrases, teachers: [101, 102], sections: 3)
    plain([asked.even, asked.few_handovers])
  end

  def evening
    slots = Array.new(5) { |i| slot(i) }
    steps = [step("begin", 1, 1081), *(step("end", 1, 1099) if chance(0.5)), *(step("begin", 2, 1104) if chance(0.5))]
    steps << step(pick(%w[shorten drop]), 4, 1105, minutes: 10) if chance(0.5)
    steps << step("swap", 3, 1105, with: 5) if chance(0.3)
    table = Core::Room::Timetable.new(slots, ends: 1195, now: 1106, steps:)
    outcomes = Core::Room::Outlook.new(table).all.flat_map { |id, all| all.map { |one| "#{id} #{World.plain(one)}" } }
    laid = table.lines.map { |line| line.to_h.except(:slot).merge(id: line.slot.id).to_a }
    [*plain(laid), *outcomes.each_slice(4).map(&:first)]
  end

  def slot(index)
    Core::Room::Timetable::Slot.new(
      id: index + 1, start: 1080 + (index * 22), minutes: pick([15, 20, 25, 30]), work: index.positive?,
      busy: chance(0.2) ? [[1150, 1170]] : [], earliest: 1075 + (index * 20)
    )
  end

  def step(kind, slot, minute, **more) = Core::Room::Timetable::Step.new(kind:, slot:, minute:, **more)

  def runs
    last = order.total_counts
    eights = Core::Running::Eights.new(order)
    danced = Array.new(4) { |i| run(i, last) }
    spots = Core::Running::Spots.new(eights, danced)
    drills = Core::Running::Drills.new(spots, runs: danced, eights:, cast:, in_link: ->(index) { items.in_link(index) })
    stretches = danced.flat_map { |each| Core::Running::CleanStretches.new(each).all }
    [*plain(spots.all), *plain(spots.seams), *plain(drills.all), *plain(stretches)]
  end

  def run(index, last)
    middle = @random.rand(20..(last - 10))
    troubles = Array.new(@random.rand(1..4)) do |i|
      Core::Running::Trouble.new(
        id: (index * 10) + i, count: Rational(@random.rand(2..(last - 1))),
        kind: pick([nil, *Core::Running::Trouble::KINDS]), people: chance(0.5) ? [pick(PEOPLE)] : []
      )
    end
    Core::Running::Run.new(
      id: index + 1, kind: Core::Running::Kind.of(pick(%w[stumble marked full_out])), day: Date.new(2027, 2, 1 + index),
      stretches: chance(0.4) ? [[1, middle], [middle - 8, last]] : [[1, last]], troubles: troubles.sort_by(&:count)
    )
  end

  def memory
    asked = Core::Running::Memory.new(order, exits: { 1 => :left, 3 => :both, 4 => :right })
    [*plain(asked.all), *plain(asked.round(sure: ->(question) { question.about.sum % 5 / 5.0 }, among: [1, 2, 3]))]
  end

  def floor
    Core::Floor::Patterns::NAMES.map do |name|
      spots = Core::Floor::Patterns.points(name, 7)
      from = Array.new(7) { |i| [i, [@random.rand(-4.0..4.0).round(2), @random.rand(0.0..6.0).round(2)]] }.to_h
      formation = Core::Floor::Formation.new(spots: spots.each_with_index.to_h { |(x, y), i| [i, spot(x, y)] })
      asked = [Core::Floor::Assignment.new(from, spots).best, formation.tight, formation.hidden, formation.off(3, 2)]
      "#{name} #{World.plain(spots)} #{World.plain(asked)}"
    end
  end

  def spot(across, away) = Core::Floor::Spot.new(x: across, y: away)

  def score
    Core::Room::Score.new(piece, danced:).links.map do |each|
      calls = each.counts.map { |count| "#{count.called}#{'!' if count.first}" }.join(" ")
      "#{each.name} #{calls} | #{World.plain(each.cues)} | #{World.plain(each.lanes)} | #{each.ends.round(3)}"
    end
  end

  def new_cut
    track = Core::Music::Track.new(tempo: [[1, 112], [60, 118]], first_count_seconds: 2.5, length_seconds: 110)
    plain(Core::Piece::NewCut.new(piece, track).shifts)
  end

  def check
    told = JSON.parse(Formats::PieceCheck.render(Core::Piece::Check.new(piece), say: SAY))
    [*told["links"], *told["forks"], *told["lanes"], *told["music"]].map(&:to_json)
  end
end
