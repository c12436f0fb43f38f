# frozen_string_literal: true

require "web_helper"

# What people were told is kept, every version as it was, with what it changed for whom.
RSpec.describe "what was told", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  before do
    make_cast(piece, %w[Ada Bram Cleo Dov Esi Fern])
    make_season(studio)
    sign_in director
  end

  def plan_at(time, way = nil)
    App::Shared::Clock.frozen_at = time
    plan = "/pieces/#{piece.id}/plan"
    way ? take_offer(piece, "#{plan}/again", {}, way:) : send_form(plan, {})
    send_form "/pieces/#{piece.id}/plans/#{piece.reload.latest_plan.id}/publish", { "homes" => "99" }
    piece.published_plan
  end

  def shown(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def first_slot(plan) = plan.slots.work.includes(:rehearsal).min_by { |slot| [slot.rehearsal.date, slot.start_minute] }

  it "is nothing before anybody was told, and offered once somebody was" do
    expect(shown("/pieces/#{piece.id}/plan/told")).to include "Nobody has been told a plan yet."
    send_form "/pieces/#{piece.id}/plan", {}
    expect(shown("/pieces/#{piece.id}/plan")).not_to include "What was told"
    plan_at(NOW)
    expect(shown("/pieces/#{piece.id}/plan")).to include "What was told"
  end

  it "lists every version with how many people it changed, the newest first" do
    first = plan_at(NOW)
    first_slot(first).rehearsal.update!(cancelled_at: NOW + 3600)
    second = plan_at(NOW + 7200, "repair")
    page = shown("/pieces/#{piece.id}/plan/told")
    newer = /Tue 2 Feb 19:10 add on from the top .* \d+ people people go by this one/
    expect(page).to match(/#{newer} Tue 2 Feb 17:10 add on from the top .* 8 people/)
    expect([first.reload.replaced_at, second.replaced_at]).to eq [NOW + 7200, nil]
  end

  it "shows a version as it was, and says once what changed alike for several" do
    studio.update!(settings: { "fixed_days" => 0 })
    first = plan_at(NOW)
    slot = first_slot(first)
    title = slot.title
    minute = slot.start_minute
    slot.rehearsal.update!(cancelled_at: NOW + 3600)
    second = plan_at(NOW + 7200, "repair")
    old = shown("/pieces/#{piece.id}/plan/told/#{first.id}")
    expect(old).to include(
      "Told Tue 2 Feb 2027",
      "Tue 2 Feb 18:00 – 20:00, cancelled since",
      "#{Formats::Times.clock(minute)} – #{Formats::Times.clock(minute + slot.minutes)} #{title} everyone (6)"
    )
    expect(old).to match(
      /What it changed .*Ada Test, Bram Test, Cleo Test, Dov Test, Esi Test and 1 more Tue 2 Feb: new/
    )
    new = shown("/pieces/#{piece.id}/plan/told/#{second.id}")
    who = "Ada Test, Bram Test, Cleo Test, Dov Test, Esi Test and 1 more"
    expect(new).to match(
      /people go by this one .* Tue 9 Feb .*What it changed .*#{who} Tue 2 Feb: no longer called \(was 18:00/
    )
    expect(new).not_to include "Tue 2 Feb 18:00 – 20:00"
  end

  it "is marked in the list of calls for a week, of all pieces or one" do
    studio.update!(settings: { "fixed_days" => 0 })
    first = plan_at(NOW)
    expect(shown("/pieces/#{piece.id}/calls")).not_to include "changed for"
    first_slot(first).rehearsal.update!(cancelled_at: NOW + 3600)
    second = plan_at(NOW + 7200, "repair")
    day = App::Shared::Dates.day(first_slot(second).rehearsal.date)
    ["/pieces/#{piece.id}/calls", "/calls"].each do |path|
      expect(shown(path)).to match(/#{day} 18:00 – 20:00 [^–]* changed for \d people/)
    end
    expect(shown("/calls").scan("changed for").size).to be < studio.rehearsals.standing.count
    App::Shared::Clock.frozen_at = NOW + (8 * 86_400)
    expect(shown("/calls")).not_to include "changed for"
  end

  it "keeps what was behind it apart from what was ahead" do
    plan_at(NOW)
    late = plan_at(Time.utc(2027, 2, 9, 22))
    page = shown("/pieces/#{piece.id}/plan/told/#{late.id}")
    expect(page).to match(
      /Told Tue 9 Feb 2027 .* Tue 16 Feb 18:00 .*Behind it then \(2 rehearsals\) Tue 2 Feb 18:00.*Tue 9 Feb 18:00/
    )
  end

  it "is for members, and only of what was told" do
    plan_at(NOW)
    send_form "/pieces/#{piece.id}/plan", {}
    draft = piece.reload.latest_plan
    expect(get("/pieces/#{piece.id}/plan/told/#{draft.id}").status).to eq 404
    sign_in make_member(studio, "choreographer")
    expect(shown("/pieces/#{piece.id}/plan/told/#{piece.published_plan.id}")).to include "everyone (6)"
    sign_in make_member(make_studio, "director")
    expect(get("/pieces/#{piece.id}/plan/told").status).to eq 404
  end

  describe "on a dancer's own page" do
    let(:page) { "/my/#{studio.people.find_by!(name: 'Ada Test').person_links.issue(studio_id: studio.id).last}" }

    it "is marked for a week: what is new, other, or fell away, against what was known before" do
      first = plan_at(NOW)
      expect(shown(page)).not_to include "Changed this week"
      evening = first_slot(first).rehearsal
      evening.update!(cancelled_at: NOW + 3600)
      App::Shared::Clock.frozen_at = NOW + 3600
      expect(shown(page)).to match(/Next call Tue 9 Feb.*Changed this week Tue 2 Feb: cancelled/)
      plan_at(NOW + 7200, "repair")
      expect(shown(page)).to include "Changed this week Tue 2 Feb: no longer called (was 18:00"
      App::Shared::Clock.frozen_at = NOW + (8 * 86_400)
      expect(shown(page)).not_to include "Changed this week"
    end

    it "counts from what was known a week ago, through several plans, and shows nobody else's" do
      first = plan_at(NOW)
      day = first.slots.work.where(kind: "run").includes(:rehearsal).map(&:rehearsal).max_by(&:date)
      known =
        first.slots.where(rehearsal: day).then { |slots| [slots.minimum(:start_minute), slots.map(&:end_minute).max] }
      2.times { |i| tell_moved(NOW + (3600 * (i + 1)), day, 10) }
      from, to, *old = [*known.map { |minute| minute + 20 }, *known].map { |minute| Formats::Times.clock(minute) }
      expect(
        shown(page)
      ).to include "Changed this week #{App::Shared::Dates.day(day.date)}: #{from} – #{to} instead of " \
                   "#{old.join(' – ')} Winter Piece"
    end

    # The told plan once more, with one evening so many minutes later than in the one before.
    def tell_moved(time, day, minutes)
      App::Shared::Clock.frozen_at = time
      told = piece.reload.published_plan
      draft, = App::Planning::Actions::EditablePlan.new(piece, director.account).of(told.slots.first)
      draft.slots.where(rehearsal: day).reorder(nil).update_all(["start_minute = start_minute + ?", minutes])
      send_form "/pieces/#{piece.id}/plans/#{draft.id}/publish", { "homes" => "99" }
    end
  end
end
