# frozen_string_literal: true

require "web_helper"
require "support/run_world"

# The past is as it was: runs are measured on the piece of their evening, what is next is ahead of now, a recap names
# what was danced, a drill whose slot is gone is asked for again.
RSpec.describe "the past", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }

  before { make_season(studio, first: "2027-01-26") }

  def plan(now = NOW)
    made = App::Planning::Actions::Make.new(piece.reload, nil, studio.local(now)).run
    App::Planning::Actions::Publish.new(made, now).run
    made.reload
  end

  def snapshot = App::Reading::PieceSnapshots.of(piece.reload)
  def said_at(time) = (time.to_f * 1000).to_i

  # The piece gets further eights, as a later revision.
  def recut
    App::Shared::Clock.frozen_at = NOW + (3 * 86_400)
    lines = "#{Studios::LINES.sub('Opening Walk, 4 eights', 'Opening Walk, 6 eights')}\nGate, 5 eights, Mirela"
    App::Piece::Actions::SaveStructure.new(
      piece.reload, { "structure" => lines, "lock_version" => piece.lock_version.to_s }, director.account
    ).run
    App::Reading::PieceSnapshots.clear
    piece.reload
  end

  it "reads the piece as it was, with the numbers that its rows have" do
    now = snapshot
    revision = piece.revisions.last
    expect(App::Reading::PieceThen.read(revision, nil).then { |work| Core::Learning::Items.new(work, cast: now.cast) }
      .then { |items| items.all.to_h { |item| [item.key, items.dancers(item)] } })
      .to eq(now.items.all.to_h { |item| [item.key, now.items.dancers(item)] })
  end

  it "measures a run on the piece of its evening, and writes nothing of what came into it since" do
    run = RunWorld.make_run(studio, piece, rehearsal:)
    Records::Run.connection.execute("SET LOCAL joinchain.erasing = 'on'")
    run.update_columns(said_at: said_at(NOW + 3600))
    sign_in director
    words = -> { Nokogiri::HTML(get("/pieces/#{piece.id}/runs/#{run.id}").body).at_css("p.mb-4").text.squish }
    before = words.call
    App::Runs::Actions::WriteDanced.new(run, director, studio.local(NOW)).run
    danced = piece.ledger_entries.order(:id).pluck(:item_key, :kind)
    recut
    expect(snapshot.work.order.links.size).to eq 5
    expect(words.call).to eq before
    App::Runs::Actions::WriteDanced.new(run.reload, director, studio.local(NOW)).run
    expect(piece.ledger_entries.order(:id).pluck(:item_key, :kind)).to eq danced
  end

  it "has no call that is behind now, neither on Calls nor on a dancer's own page, nor a slot that comes soonest" do
    plan(NOW - (8 * 86_400))
    rehearsal = studio.rehearsals.find_by!(date: NOW.to_date)
    ends = studio.zone.local_to_utc(rehearsal.date.to_time(:utc) + (rehearsal.end_minute * 60))
    slots = lambda do |time|
      season = App::Reading::SeasonSnapshots.of(studio, studio.local(time))
      ahead = App::Reading::SlotsAhead.of(piece, snapshot.items, season, studio.local(time))
      ahead.map { |slot| [slot.day, slot.minute] }
    end
    first = slots.call(ends - 7200).find { |day, _| day == rehearsal.date }
    expect(slots.call(ends).first.first).to be > rehearsal.date
    middle = ends - ((rehearsal.end_minute - first.last - 1) * 60)
    expect(slots.call(middle)).not_to include first
    token = dancers.first.person_links.issue(studio_id: studio.id).last
    sign_in director
    seen = [ends - 60, ends + 60].map do |time|
      App::Shared::Clock.frozen_at = time
      page = App::Calls::Pages::Index.new(director, studio.local(time))
      mine = App::MyPart::Pages::Show.new(dancers.first, time, token:, guardian: false)
      [page.upcoming.include?(rehearsal), page.recent.include?(rehearsal), mine.calls.map(&:last).include?(rehearsal)]
    end
    expect(seen.last).to eq [false, true, false]
    expect(seen.first.first(2)).to eq [true, false]
  end

  it "names in the next recap what was danced, and not what was dropped" do
    told = plan(NOW - (8 * 86_400))
    recap = told.slots.where(kind: "recap").includes(:rehearsal).min_by { |slot| slot.rehearsal.date }
    behind = told.slots.joins(:rehearsal).where("rehearsals.date < ?", recap.rehearsal.date).select(&:lesson?)
    lesson = behind.reverse.find { |slot| recap.names.include?(snapshot.work.order.links[slot.from_link - 1].name) }
    name = snapshot.work.order.links[lesson.from_link - 1].name
    evening = lesson.rehearsal
    App::Shared::Clock.frozen_at = evening.date.to_time(:utc) + (21 * 3600)
    behind.select { |slot| slot.rehearsal_id == evening.id && slot.from_link == lesson.from_link }.each do |slot|
      Records::EveningStep.create!(studio:, rehearsal: evening, slot:, kind: "drop", minute: 1100, said_at: slot.id,
                                   by_name: "M", client_id: "dropped-#{slot.id}-0", created_at: NOW)
    end
    others = recap.names - [name]
    sign_in director
    send_form "/rehearsals/#{evening.id}/afterwards", { "here" => dancers.map { |each| each.id.to_s } }
    expect(recap.reload.names).to eq others
    expect(recap.title).not_to match(/#{name}(?! into)/)
  end

  it "asks for a drill again whose slot is in the plan no more" do
    plan
    drill = RunWorld.make_drill(piece)
    sign_in director
    slot = piece.published_plan.slots.work.last
    drill.update!(rehearsal: slot.rehearsal, slot:)
    wishes = -> { App::Reading::DrillWishes.of(piece.reload, snapshot.work.order, snapshot.items, today: NOW.to_date) }
    expect([drill.reload.slot.nil?, wishes.call.size]).to eq [false, 0]
    drill.slot.update_columns(task_key: "learn-s1")
    piece.published_plan.update_columns(replaced_at: NOW)
    plan
    expect(wishes.call.size).to eq 1
    RunWorld.make_run(studio, piece, rehearsal:)
    expect(get("/pieces/#{piece.id}/runs").body).to include "the slot it was in is gone"
  end
end
