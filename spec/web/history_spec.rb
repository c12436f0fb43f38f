# frozen_string_literal: true

require "web_helper"

# What is behind us stays as it was, whichever plan follows, and counts for what is still to be done: once.
RSpec.describe "what is behind a plan", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }

  before do
    make_season(studio)
    sign_in director
    make_plan
    tell
  end

  def make_plan = send_form("/pieces/#{piece.id}/plan", {})
  def latest = piece.reload.latest_plan
  def tell(plan = latest) = send_form("/pieces/#{piece.id}/plans/#{plan.id}/publish", { "homes" => "99" })
  def evening(day, hour = 21) = App::Shared::Clock.frozen_at = Time.utc(2027, 2, day, hour)
  def draft = App::Reading::PlanDraft.new(piece.reload, studio.local(App::Shared::Clock.now))

  def on(plan, day)
    plan.slots.joins(:rehearsal).where(rehearsals: { date: "2027-02-#{format('%02d', day)}" }).order(:start_minute, :id)
  end

  def words(slots)
    slots.map do |slot|
      [slot.title, slot.start_minute, slot.minutes, slot.actual_minutes, slot.slot_people.map(&:person_id).sort]
    end
  end

  def register(plan, day, here: dancers, **minutes)
    slots = on(plan, day).work
    send_form "/rehearsals/#{slots.first.rehearsal_id}/register",
              {
                "here" => here.map { |dancer| dancer.id.to_s },
                "minutes" => slots.to_h { |slot| [slot.id.to_s, minutes.fetch(:each, slot.minutes).to_s] }
              }
  end

  describe "a draft that is told after a rehearsal of the plan before" do
    it "keeps that rehearsal as it was held, and what its register says" do
      standing = latest
      make_plan
      late = latest
      moved = on(late, 2).work.first
      moved.update!(start_minute: moved.start_minute + 30, title: "Something else")
      evening(2)
      register(standing, 2, each: 21)
      tell(late)
      expect([piece.reload.published_plan, words(on(late, 2))]).to eq [late, words(on(standing, 2))]
      expect(on(late, 2).work.map(&:actual_minutes).uniq).to eq [21]
    end

    it "keeps what a register says later of a rehearsal that was behind it already" do
      evening(2)
      make_plan
      late = latest
      evening(3)
      register(piece.published_plan, 2, each: 17)
      tell(late)
      expect(on(late, 2).work.map(&:actual_minutes).uniq).to eq [17]
    end

    it "tells nobody of what is over" do
      teacher = make_member(studio, "choreographer", person: studio.people.find_by!(name: "Odalys"))
      make_plan
      on(latest, 2).update_all(start_minute: 1130)
      over = App::Shared::Dates.day(on(latest, 2).first.rehearsal.date)
      evening(2)
      tell
      told = Records::Mail.where(studio:, recipient: teacher.account.email).map(&:body).join
      expect(told).not_to include over
    end

    it "leaves the rehearsals ahead to the draft" do
      make_plan
      ahead = words(on(latest, 9))
      evening(2)
      tell
      expect(words(on(latest, 9))).to eq ahead
    end
  end

  it "tells nobody of a plan when there is a newer one" do
    make_plan
    old = latest
    make_plan
    tell(old)
    expect([old.reload.published_at, get("/pieces/#{piece.id}/plan").body]).to match [
      nil,
      a_string_including("there is a newer plan")
    ]
    tell
    expect(piece.reload.published_plan).to eq latest
  end

  it "believes a teacher's minutes once, however often it was planned again" do
    evening(2)
    register(latest, 2, each: 40)
    before = Records::Mapping::Seasons.factors(studio)
    3.times do
      make_plan
      tell
    end
    expect([before.values.uniq.size, Records::Mapping::Seasons.factors(studio)]).to eq [1, before]
    expect(before.values.first).to be > 1
  end

  it "catches nobody up on a lesson that lay elsewhere in the end" do
    lesson = on(latest, 9).work.find_by!(kind: "learn")
    make_plan
    week_later = studio.rehearsals.find_by!(date: lesson.rehearsal.date + 7)
    on(latest, 9).work.where(task_key: lesson.task_key).update_all(rehearsal_id: week_later.id)
    tell
    evening(9)
    send_form "/rehearsals/#{lesson.rehearsal_id}/register",
              { "here" => dancers.drop(1).map { |dancer| dancer.id.to_s } }
    expect(draft.tasks.map(&:kind)).not_to include "catchup"
  end

  it "counts cleaning that was held, by the minutes it took" do
    piece.update!(settings: { "cleaning" => 1.0, "full_runs" => 0 })
    make_plan
    tell
    planned = latest.slots.work.where(kind: "clean").to_h { |slot| [slot.task_key, slot.minutes] }
    first = latest.slots.work.where(kind: "clean").joins(:rehearsal).order("rehearsals.date", :start_minute).first
    day = first.rehearsal.date
    App::Shared::Clock.frozen_at = Time.utc(day.year, day.month, day.day, 21)
    send_form "/rehearsals/#{first.rehearsal_id}/register", { "minutes" => { first.id.to_s => "5" } }
    left = draft.tasks.select { |task| task.kind == "clean" }.to_h { |task| [task.id, task.minutes] }
    held =
      latest.slots.work.where(kind: "clean", rehearsal_id: first.rehearsal_id)
        .where.not(id: first.id)
        .to_h { |slot| [slot.task_key, slot.minutes] }
    expect(left.fetch(first.task_key, 0)).to eq planned[first.task_key] - 5
    expect(left.keys & held.keys).to eq []
  end
end
