# frozen_string_literal: true

require "web_helper"
require_relative "../support/season_checks"

# Two pieces with the same dancers, planned as one season, told in one go.
RSpec.describe "several pieces as one season", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:pieces) do
    [make_piece(studio, director), make_piece(studio, director, title: "Other Piece", show_date: "2027-04-10")]
  end
  let(:now) { studio.local(NOW) }

  before do
    make_season(studio, last: "2027-04-06", rooms: [["Hall", 40], ["Loft", 20]])
    pieces.each { |each| make_cast(each, %w[Ada Bo Cai Dee Eli Fay]) }
    sign_in director
  end

  def shown = CGI.unescapeHTML(get("/season").body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def together(*chosen) = send_form("/season/plan", "pieces" => chosen.each_with_index.to_h { |p, i| [p.id, i + 1] })
  def offer = studio.plan_offers.where(kind: "season").order(:id).last
  def take = send_form("/season/offers/#{offer.id}/take", {})
  def drafts = pieces.map { |each| each.reload.latest_plan }

  def tell
    send_form "/season/tell", "together" => offer.id, "homes" => 0
    drafts
  end

  def faults = drafts.flat_map { |plan| SeasonChecks.new(studio, plan, now, beside: drafts - [plan]).faults }

  it "are planned together, taken as shown and told as one, with nobody in two places" do
    together(*pieces)
    offer.reload
    wanted = offer.facts["pieces"].map { |each| [each["ready"], each["unplaced"]] }
    expect(shown).to include "Take it"
    take
    expect(drafts.map { |plan| [plan.result["ready"], plan.result["unplaced"].sum { |task| task["minutes"] }] })
      .to eq wanted
    expect(faults).to eq []
    expect(shown).to include "Winter Piece and Other Piece: planned together, not told yet."
    expect(tell.map(&:published?)).to eq [true, true]
    expect(shown).not_to include "not told yet"
  end

  it "are told all or none, and each alone only where it is right beside what others were told" do
    together(*pieces)
    take
    drafts.last.slots.work.first.then do |slot|
      clash = drafts.first.slots.work.where(rehearsal_id: slot.rehearsal_id).first ||
        drafts.first.slots.work.first.tap { |each| each.update!(rehearsal_id: slot.rehearsal_id) }
      clash.update!(start_minute: slot.start_minute)
    end
    expect(tell.map(&:published?)).to eq [false, false]
    expect(shown).to include "Nobody was told"
  end

  it "change nothing where nothing happened and they are planned together again" do
    together(*pieces)
    take
    tell
    before = placed
    together(*pieces)
    expect(offer.facts["changes"]).to include("new_calls" => 0, "cancelled" => 0)
    take
    expect(placed).to eq before
  end

  def placed
    drafts.flat_map { |plan| plan.slots.work.map { |slot| [plan.piece_id, slot.task_key, slot.rehearsal_id] } }.sort
  end

  it "are refused where one of them changed since, and never of another studio" do
    together(*pieces)
    pieces.last.update!(title: "Third Piece")
    take
    expect(shown).to include "Plan them together once more"
    expect(drafts).to eq [nil, nil]
    stranger = make_piece(other = make_studio, make_member(other, "director"))
    together(pieces.first, stranger)
    expect(shown).to include "Choose two pieces at least"
  end

  it "leaves an evening empty on purpose, and gives a room back" do
    together(*pieces)
    take
    empty = studio.rehearsals.standing.reject { |each| drafts.any? { |plan| plan.slots.exists?(rehearsal: each) } }
    expect(empty).not_to be_empty
    expect(shown.scan("Nobody is called.").size).to eq empty.size
    expect(shown).not_to include "is not planned yet"
    make_cast(make_piece(studio, director, title: "Late Piece"), %w[Gus])
    expect(shown).to include "Nobody is called. Late Piece is not planned yet and may need it."
    send_form "/rehearsals/#{empty.first.id}/leave", "to" => "yes"
    expect(shown).to include "Left empty."
    expect(Records::Mapping::Seasons.new(pieces.first, now:).open).not_to include empty.first
    send_form "/rehearsals/#{empty.first.id}/leave", "to" => "no"
    expect(Records::Mapping::Seasons.new(pieces.first, now:).open).to include empty.first
  end

  it "keeps closed days, holidays and exams as people write them" do
    send_form "/days", "day_kind" => "closed", "from" => "9 Feb", "to" => "16 Feb"
    expect(studio.rehearsals.standing.pluck(:date)).not_to include Date.new(2027, 2, 9), Date.new(2027, 2, 16)
    group = pieces.first.groups.first
    send_form "/days", "day_kind" => "exam", "from" => "2027-02-20", "to" => "Feb 28th", "group" => group.id
    send_form "/pieces/#{pieces.first.id}/plan", {}
    plan = pieces.first.reload.latest_plan
    in_exams = plan.slots.work.includes(:rehearsal).select { |slot| slot.rehearsal.date == Date.new(2027, 2, 23) }
    expect(in_exams.map(&:kind) & %w[learn run]).to eq []
    expect(shown).to include "exams Sat 20 Feb – Sun 28 Feb"
    send_form "/days", "day_kind" => "exam", "from" => "30 Feb"
    expect(last_response.status).to eq 422
    expect(last_response.body).to include "Write the days as you say them", "30 Feb"
  end
end
