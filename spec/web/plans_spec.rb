# frozen_string_literal: true

require "web_helper"

RSpec.describe "planning", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }
  let(:now) { studio.local(NOW) }
  let(:plan_path) { "/pieces/#{piece.id}/plan" }

  before do
    make_season(studio)
    sign_in director
  end

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def latest = piece.reload.latest_plan

  def work_slots(plan = latest)
    plan.slots.includes(:rehearsal).select(&:work?).sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
  end

  def told_plan
    send_form plan_path, {}
    send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
    latest
  end

  def improve(plan)
    App::Jobs::ImprovePlan.new.run(studio.id, plan.id)
  end

  describe "the search for a better plan" do
    it "waits as a job, keeps its progress on the plan, and puts in what is better unless somebody touched it" do
      send_form plan_path, {}
      plan = latest
      expect(
        [plan.search["state"], Records::Ask.waiting.where(work: "improve").count]
      ).to eq ["waiting", 1]
      plan.update_columns(result: plan.result.merge("rank" => [0, 0, 10**12], "ready" => "2027-03-16"))
      before = plan.slots.pluck(:id)
      improve(plan)
      expect(JSON.parse(get("/pieces/#{piece.id}/plans/#{plan.id}/progress").body)).to include(
        "state" => "done",
        "better" => true
      )
      expect(
        [plan.reload.slots.pluck(:id) & before, plan.result["rank"].last < 10**12, work_slots.size.positive?]
      ).to eq [[], true, true]
    end

    it "is stopped on demand, is harmless when run again, and leaves a told plan alone" do
      send_form plan_path, {}
      plan = latest
      send_form "/pieces/#{piece.id}/plans/#{plan.id}/stop", {}
      expect(plan.reload.search["state"]).to eq "stopping"
      slots = plan.slots.order(:id).pluck(:id)
      2.times { improve(plan.reload) }
      send_form "/pieces/#{piece.id}/plans/#{plan.id}/publish", { "homes" => "99" }
      improve(plan.reload)
      expect(plan.reload.slots.order(:id).pluck(:id)).to eq slots
    end
  end

  it "compares the schools before one is chosen, and builds by the chosen one" do
    page = worked_out("#{plan_path}/schools")
    expect(page).to include(
      "add on from the top (now)",
      "back from the ending",
      "sections, then joins",
      "sketch, then refine",
      "Danced: Opening Walk"
    )
    take_offer piece, "#{plan_path}/schools", {}, way: "back"
    expect([latest.school, piece.reload.setting("school")]).to eq %w[back back]
    learns = work_slots.select { |slot| slot.kind == "learn" }.map(&:title)
    expect(learns.first).to eq "Learn Spiral"
    send_form plan_path, { "school" => "by magic" }
    expect(latest.school).to eq "back"
  end

  # The form stands beside a plan; here it is sent before there is one.
  def wish(values)
    send_form "#{plan_path}/wishes", { "was" => App::Planning::WishesForm.of(piece.reload).was, **values }
  end

  it "aims at the runs, days and cleaning that are wished for, and refuses nonsense" do
    wish({ "full_runs" => "2", "ready_days" => "10", "cleaning" => "0.3" })
    send_form plan_path, {}
    expect(work_slots.map(&:kind).tally).to include("run" => 2, "clean" => 2)
    wish({ "full_runs" => "lots", "ready_days" => "10", "cleaning" => "0.3" })
    expect(piece.reload.setting("full_runs")).to eq 2
  end

  it "counts deadlines backward: before the dress and the filming, and the film edited before the show" do
    wishes = {
      "full_runs" => "2",
      "ready_days" => "3",
      "cleaning" => "0.0",
      "dress" => "2027-03-10",
      "filming" => "2027-03-03",
      "editing_days" => "20"
    }
    wish(wishes)
    season = Records::Mapping::Seasons.new(piece.reload, now:)
    expect([season.due.to_s, season.target.date.to_s]).to eq %w[2027-03-02 2027-03-02]
    send_form plan_path, {}
    expect(text(plan_path)).to include(
      "wanted by Tue 2 Mar",
      "dress rehearsal Wed 10 Mar",
      "The film is not edited before the show."
    )
    wish(wishes.merge("dress" => "2028-01-01"))
    wish(wishes.merge("filming" => "soon"))
    expect(piece.reload.setting("deadlines")["dress"]).to eq "2027-03-10"
  end

  it "says why it does not fit, in names and minutes, and what would help" do
    studio.rehearsals.standing.offset(1).each { |rehearsal| rehearsal.update!(cancelled_at: NOW) }
    send_form plan_path, {}
    expect(text(plan_path)).to include(
      "minutes have no place",
      "What does not fit",
      "No plan can do it as things stand."
    )
    expect(latest.result["reasons"].first).to match(/needed|rehearsals there are|short/)
  end

  describe "what if" do
    it "shows a change beside the plan without doing it, and then does it" do
      told_plan
      rehearsal = studio.rehearsals.standing.second
      shown = worked_out("#{plan_path}/what-if", { "change" => "without", "rehearsal" => rehearsal.id.to_s })
      expect(shown).to include("Without the rehearsal on Tue 9 Feb", "All done", "Changes for people")
      expect(rehearsal.reload.cancelled_at).to be_nil
      take_offer piece, "#{plan_path}/what-if", { "change" => "without", "rehearsal" => rehearsal.id.to_s }
      expect(
        [rehearsal.reload.cancelled_at.nil?, work_slots.none? { |slot| slot.rehearsal_id == rehearsal.id }]
      ).to eq [false, true]
    end

    it "shows the plan as it is, and just what comes when it is done" do
      told_plan
      before = work_slots.select { |slot| slot.kind == "run" }.map { |slot| slot.rehearsal.date }.max
      rehearsal = work_slots.find { |slot| slot.kind == "run" }.rehearsal
      shown = worked_out("#{plan_path}/what-if", { "change" => "without", "rehearsal" => rehearsal.id.to_s })
      ready, waiting, changes =
        shown.match(
          /All\ done\ (\w+\ \d+\ \w+)\ .*?\ People\ wait,\ all\ together\ (\d+)\ min\ .*?
           \ Changes\ for\ people\ none\ (\d+\ new\ calls?,\ \d+\ cancelled,\ \d+\ slots?)\ shifted/x
        ).captures
      expect([ready, waiting.to_i]).to eq [App::Shared::Dates.day(before), latest.result["waiting"]]
      after = shown[/All done \w+ \d+ \w+ (\w+ \d+ \w+)/, 1]
      take_offer piece, "#{plan_path}/what-if", { "change" => "without", "rehearsal" => rehearsal.id.to_s }
      expect(
        App::Shared::Dates.day(work_slots.select { |slot| slot.kind == "run" }.map { |slot| slot.rehearsal.date }.max)
      ).to eq after
      expect(changes.scan(/\d+/).map(&:to_i)).to eq latest.result["changes"].values_at(
        "new_calls",
        "cancelled",
        "shifted"
      )
    end

    it "does what it shows, whatever is changed" do
      studio.people.find_by!(name: "Odalys").absences.create!(studio:, from_date: "2027-02-09", to_date: "2027-02-16")
      told_plan
      mirela, odalys = %w[Mirela Odalys].map { |name| studio.people.find_by!(name:).id.to_s }
      asked = [
        { "change" => "extra", "date" => "2027-02-06", "start" => "10:00", "end" => "13:00" },
        { "change" => "freed", "person" => odalys },
        { "change" => "away", "person" => mirela, "from" => "16 Feb", "to" => "23 Feb" },
        { "change" => "room", "room" => studio.rooms.create!(name: "Loft", capacity: 20).id.to_s },
        { "change" => "passes", "passes" => "more" },
        { "change" => "teacher", "section" => piece.sections.first.id.to_s, "teacher" => mirela },
        { "change" => "school", "school" => "sections" }
      ]
      asked.each do |change|
        shown = worked_out("#{plan_path}/what-if", change)
        take_offer piece, "#{plan_path}/what-if", change
        said = shown[/Changes for people none ([^.]*?) shifted/, 1].scan(/\d+/).map(&:to_i)
        expect(said).to eq(latest.result["changes"].values_at("new_calls", "cancelled", "shifted")), change.inspect
        twice = latest.slots.group_by { |slot| [slot.rehearsal_id, slot.task_key, slot.start_minute] }.values
        expect(twice.map(&:size).uniq).to eq([1]), change.inspect
        send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
      end
    end

    it "adds a rehearsal, frees somebody, gives a section to another teacher, and takes no nonsense" do
      person = studio.people.find_by!(name: "Odalys")
      person.absences.create!(studio:, from_date: "2027-01-28", to_date: "2027-02-28")
      told_plan
      person.absences.create!(studio:, from_date: "2027-01-05", to_date: "2027-01-12")
      extra = { "change" => "extra", "date" => "2027-02-06", "start" => "10:00", "end" => "13:00" }
      expect(worked_out("#{plan_path}/what-if", extra)).to include "One rehearsal more on Sat 6 Feb, 10:00 – 13:00"
      freed = { "change" => "freed", "person" => person.id.to_s }
      expect(worked_out("#{plan_path}/what-if", freed)).to include "Odalys comes to all rehearsals"
      take_offer piece, "#{plan_path}/what-if", freed
      expect(person.absences.order(:from_date).pluck(:from_date, :to_date).flatten.map(&:to_s)).to eq %w[
        2027-01-05
        2027-01-12
        2027-01-28
        2027-02-01
      ]
      take_offer piece, "#{plan_path}/what-if", extra
      expect(studio.rehearsals.standing.pluck(:date).map(&:to_s)).to include("2027-02-06")
      mirela = studio.people.find_by!(name: "Mirela")
      other = { "change" => "teacher", "section" => piece.sections.first.id.to_s, "teacher" => mirela.id.to_s }
      take_offer piece, "#{plan_path}/what-if", other
      expect(piece.sections.first.reload.choreographer).to eq mirela
      %w[
        change=extra&date=never&start=1&end=2
        change=extra&date=2027-02-06&start=10:03&end=13:00
        change=extra&date=2026-02-06&start=10:00&end=13:00
        change=extra&date=9999-02-06&start=10:00&end=13:00
        change=extra&date=2027-03-21&start=10:00&end=13:00
        change=teacher&section=0&teacher=0
        change=away&person=0&from=soon
      ].each do |query|
        expect(send_form("#{plan_path}/what-if", Rack::Utils.parse_query(query)).status).to eq(422), query
        expect(last_response.body).to match(/after the show|Choose what is meant|Write a day/)
      end
      take_offer piece, "#{plan_path}/what-if", { "change" => "magic" }
      expect(last_response.status).to eq 404
    end
  end

  it "builds by another school, or with fewer passes, and remembers it" do
    studio.update!(settings: { "fixed_days" => 0 })
    told_plan
    before = work_slots.sum(&:minutes)
    fewer = { "change" => "passes", "passes" => "fewer" }
    expect(worked_out("#{plan_path}/what-if", fewer)).to include "Changes for people"
    take_offer piece, "#{plan_path}/what-if", fewer
    expect(piece.sections.reload.map(&:difficulty).uniq).to eq [0.8]
    expect(work_slots.sum(&:minutes)).to be < before
    back = { "change" => "school", "school" => "back" }
    expect(worked_out("#{plan_path}/what-if", back)).to include "back from the ending"
    take_offer piece, "#{plan_path}/what-if", back
    expect([piece.reload.setting("school"), latest.school]).to eq %w[back back]
  end

  describe "moving by hand" do
    it "moves a slot of a draft made from what was told, to the first place there that breaks nothing" do
      told = told_plan
      run = work_slots.reverse.find { |slot| slot.kind == "run" }
      target = studio.rehearsals.standing.last
      send_json "/pieces/#{piece.id}/slots/#{run.id}/move", { rehearsal: target.id }
      expect(JSON.parse(last_response.body)).to eq("moved" => true)
      expect([latest.published?, latest.id == told.id, run.reload.rehearsal_id == target.id]).to eq [
        false,
        false,
        false
      ]
      moved = work_slots.find { |slot| slot.task_key == run.task_key }
      frames = latest.slots.reject(&:work?).select { |slot| slot.rehearsal_id == target.id }.map(&:kind)
      expect([moved.rehearsal_id, frames.sort]).to eq [target.id, %w[cool_down warm_up]]
    end

    it "says what would break, and moves nothing" do
      told_plan
      join = work_slots.find { |slot| slot.kind == "chain" }
      run = work_slots.reverse.find { |slot| slot.kind == "run" }
      studio.people.find_by!(name: "Ada Test").absences
        .create!(
          studio:,
          from_date: studio.rehearsals.standing.last.date,
          to_date: studio.rehearsals.standing.last.date
        )
      send_json "/pieces/#{piece.id}/slots/#{run.id}/move", { rehearsal: studio.rehearsals.standing.last.id }
      expect([last_response.status, last_response.body]).to match([422, /Ada Test cannot come then/])
      send_json "/pieces/#{piece.id}/slots/#{join.id}/move", { rehearsal: studio.rehearsals.standing.fifth.id }
      expect(last_response.body).to match(/moved|would come before it|cannot come|busy/)
    end

    it "keeps what is pinned when planned again, and refuses to move it" do
      told_plan
      run = work_slots.reverse.find { |slot| slot.kind == "run" }
      send_json "/pieces/#{piece.id}/slots/#{run.id}/pin", { "to" => "yes" }
      expect(JSON.parse(last_response.body)).to eq("pinned" => true)
      send_json "/pieces/#{piece.id}/slots/#{run.id}/move", { rehearsal: studio.rehearsals.standing.last.id }
      expect(last_response.body).to include "It is pinned here"
      send_form plan_path, {}
      again = work_slots.find { |slot| slot.task_key == run.task_key }
      expect([again.rehearsal_id, again.start_minute, again.pinned]).to eq [run.rehearsal_id, run.start_minute, true]
    end
  end

  describe "when something happens" do
    it "notices, shows two ways with what each changes, and tells those affected" do
      teacher = make_member(studio, "choreographer", person: studio.people.find_by!(name: "Mirela"))
      told_plan
      rehearsal = work_slots.first.rehearsal
      rehearsal.update!(cancelled_at: NOW)
      expect(text(plan_path)).to include("The rehearsal on Tue 2 Feb was cancelled.", "See what to do")
      expect(worked_out("#{plan_path}/again")).to include(
        "Keep what stands",
        "Make it anew",
        "cancelled calls",
        "slots shifted"
      )
      take_offer piece, "#{plan_path}/again", {}, way: "repair"
      expect(work_slots.none? { |slot| slot.rehearsal_id == rehearsal.id }).to be true
      Records::Mail.where(studio:).delete_all
      send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
      mail = Records::Mail.find_by(studio:, recipient: teacher.account.email)
      expect(mail.body).to match(/Tue \d+ \w+: (new|no longer called|\d\d:\d\d)/)
    end

    it "marks on the call sheet what changed since the version before" do
      told_plan
      run = work_slots.reverse.find { |slot| slot.kind == "run" }
      target = studio.rehearsals.standing.last
      send_json "/pieces/#{piece.id}/slots/#{run.id}/move", { rehearsal: target.id }
      send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
      expect(text("/rehearsals/#{target.id}/call-sheet")).to match(/Changed since last told .*(new,|instead of)/)
    end

    it "keeps a register and the minutes a slot took; a teacher's estimates follow their rehearsals" do
      told_plan
      slot = work_slots.find { |each| each.kind == "learn" }
      slot.rehearsal.update!(date: "2027-02-01")
      path = "/rehearsals/#{slot.rehearsal_id}/register"
      send_form path, { "here" => [dancers.first.id.to_s], "minutes" => { slot.id.to_s => (slot.minutes * 2).to_s } }
      expect(slot.rehearsal.attendances.where(person_id: dancers.map(&:id)).order(:person_id).pluck(:present)).to eq [
        true,
        false,
        false
      ]
      expect(slot.reload.actual_minutes).to eq slot.minutes * 2
      expect(Records::Mapping::Seasons.factors(studio).values).to all(be > 1)
      send_form path, { "minutes" => { slot.id.to_s => "soon" } }
      expect([last_response.status, last_response.body]).to match [422, /Minutes are whole numbers.*value="soon"/m]
    end
  end

  it "catches up whoever the register says was away when it was taught" do
    told_plan
    slot = work_slots.find { |each| each.kind == "learn" }
    others = dancers.drop(1)
    send_form "/rehearsals/#{slot.rehearsal_id}/register", { "here" => others.map { |dancer| dancer.id.to_s } }
    key = slot.task_key.delete_prefix("learn-")
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => others.map { |dancer| "#{dancer.id}:#{key}" }, "rung" => 2 },
      now.to_date
    ).run
    caught = App::Reading::PlanDraft.new(piece.reload, now).tasks.find { |task| task.kind == "catchup" }
    expect([caught.id, caught.dancers]).to eq ["catchup-#{key}", [dancers.first.id]]
  end

  it "sends minors home in time, and catches up whoever is away most of the season" do
    studio.update!(settings: { "latest_finish" => 1140 })
    dancers.last.update!(adult: true)
    extra = make_cast(piece, %w[Dov Esi]).last(2)
    extra.last.absences.create!(studio:, from_date: "2027-02-01", to_date: "2027-03-05")
    draft = App::Reading::PlanDraft.new(piece.reload, now)
    minors =
      draft.problem.unavailable.select { |away| away[:from] == 1135 && away[:late] }.map { |away| away[:who] }.uniq
    expect(minors).not_to include("p#{dancers.last.id}")
    expect(minors.size).to eq 4
    caught = draft.tasks.select { |task| task.kind == "catchup" }
    expect(caught.flat_map(&:dancers).uniq).to eq [extra.last.id]
    learn = draft.tasks.find { |task| task.id == caught.first.id.sub("catchup", "learn") }
    expect(learn.dancers).not_to include(extra.last.id)
    join = draft.tasks.find { |task| task.kind == "join" }
    expect(join.after).to include(caught.first.id)
  end
end
