# frozen_string_literal: true

require "web_helper"

# What a director asks of the worker: nothing is solved in a request, and what is taken is what was shown.
RSpec.describe "plans that are offered", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:plan_path) { "/pieces/#{piece.id}/plan" }
  let(:offer) { piece.plan_offers.order(:id).last }

  before do
    make_cast(piece)
    make_season(studio)
    sign_in director
  end

  around do |example|
    App::Jobs::WorkOutPlans.run_synchronously = false
    example.run
  ensure
    App::Jobs::WorkOutPlans.run_synchronously = true
  end

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def latest = piece.reload.latest_plan

  def work(each = piece.plan_offers.order(:id).last)
    App::Jobs::WorkOutPlans.run(each.studio_id, each.id)
    each.reload
  end

  def told_plan
    send_form plan_path, {}
    work
    send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
  end

  def take(way, each = offer) = send_form("#{plan_path}/offers/#{each.id}/take", { "way" => way })

  # A plan's work slots as anybody sees them.
  def shape(plan)
    plan.slots.work.order(:rehearsal_id, :start_minute, :title).map do |slot|
      [slot.rehearsal_id, slot.start_minute, slot.minutes, slot.room_id, slot.task_key]
    end
  end

  it "solves in no request: a first plan waits for the worker, with its progress, and can be stopped" do
    allow(Core::Planning::Solver).to receive(:new).and_call_original
    send_form plan_path, {}
    aggregate_failures do
      expect(Core::Planning::Solver).not_to have_received(:new)
      expect(latest).to be_nil
      expect(text(plan_path)).to include "being worked out"
      get "#{plan_path}/offers/#{offer.id}/progress"
      expect(JSON.parse(last_response.body)).to eq("state" => "waiting", "share" => 0.0, "place" => 1)
    end
    send_form "#{plan_path}/offers/#{offer.id}/stop", {}
    work
    expect([offer.reload.state, latest]).to eq ["stopping", nil]
    send_form plan_path, {}
    expect([work.state, latest.slots.work.any?]).to eq ["done", true]
  end

  it "answers what if, planning again and the schools from what was worked out, without solving" do
    told_plan
    %w[what-if again schools].zip([{ "change" => "passes", "passes" => "fewer" }, {}, {}]).each do |path, asked|
      send_form "#{plan_path}/#{path}", asked
      work
    end
    allow(Core::Planning::Solver).to receive(:new).and_call_original
    allow(Core::Planning::Replanning).to receive(:new).and_call_original
    aggregate_failures do
      expect(text("#{plan_path}/what-if")).to include "Changes for people"
      expect(text("#{plan_path}/again")).to include("Keep what stands", "Make it anew")
      expect(text("#{plan_path}/schools")).to include "back from the ending"
      expect(Core::Planning::Solver).not_to have_received(:new)
      expect(Core::Planning::Replanning).not_to have_received(:new)
    end
  end

  it "is taken just as it was shown" do
    told_plan
    studio.update!(settings: { "fixed_days" => 0 })
    send_form "#{plan_path}/again", {}
    work
    shown = offer.plans.fetch("anew")["placements"]
    take "anew"
    windows = shown.map { |each| Records::Mapping::Identifiers.row(each["window"]) }
    expect(shape(latest).map { |rehearsal, _, minutes, _, task| [rehearsal, minutes, task] }.sort).to eq(
      windows.zip(shown.map { |each| each["minutes"] }, shown.map { |each| each["task"] }).sort
    )
  end

  it "is not taken once something changed, but worked out anew; and not when a rehearsal of it has begun" do
    told_plan
    send_form "#{plan_path}/again", {}
    work
    known = shape(latest)
    studio.rehearsals.standing.last.update!(cancelled_at: NOW)
    take "repair"
    aggregate_failures do
      expect(shape(latest)).to eq known
      expect(piece.plan_offers.order(:id).pluck(:state).last(2)).to eq %w[done waiting]
      expect(text("#{plan_path}/again")).to include "is being worked out anew"
    end
    work
    App::Shared::Clock.frozen_at = NOW + (3 * 3600)
    take "repair", piece.plan_offers.order(:id).last
    expect(shape(latest)).to eq known
  end

  it "takes a way once, one that is there, and only of this piece" do
    told_plan
    other = make_piece(studio, director, title: "Other Piece")
    send_form "#{plan_path}/again", {}
    work
    expect(send_form("/pieces/#{other.id}/plan/offers/#{offer.id}/take", { "way" => "anew" }).status).to eq 404
    take "by magic"
    form = { "way" => "anew", "authenticity_token" => token }
    2.times { post "#{plan_path}/offers/#{offer.id}/take", form }
    expect(piece.plans.count).to eq 2
  end

  it "gives up in words where the worker fails, so that nobody waits for ever" do
    allow(App::Planning::Offers::Plan).to receive(:new).and_raise(Core::ValueError.new("a task", "is odd"))
    send_form plan_path, {}
    expect { work }.to raise_error(Core::ValueError)
    expect(offer.reload.state).to eq "stopped"
    expect(text(plan_path)).not_to include "being worked out"
  end

  # Fault: a background search that crosses the start of a rehearsal wrote its slots twice.
  it "keeps one slot each when a search crosses the start of a rehearsal" do
    send_form plan_path, {}
    work
    first = latest
    before = shape(first)
    first.update_columns(result: first.result.merge("rank" => [99, 99, 99_999], "ready" => "2027-03-16"))
    allow(App::Planning::Actions::PlanWithReviews).to receive(:new).and_wrap_original do |made, *given|
      App::Shared::Clock.frozen_at = NOW + (2 * 3600)
      made.call(*given)
    end
    job = App::Jobs::ImprovePlan.new
    job.run(studio.id, first.id)
    aggregate_failures do
      expect(first.reload.search).to include("state" => "done", "better" => true)
      expect(shape(first).size).to be <= before.size
      expect(shape(first).tally.values.max).to eq 1
    end
  end
end
