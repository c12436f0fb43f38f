# frozen_string_literal: true

require "web_helper"

# An evening on which somebody is not there: what goes ahead, what waits, what could be done instead; and somebody who
# is out for some days.
RSpec.describe "an evening with who is here", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai Dee Eli Fay Gus Hal Ivo Jun]) }
  let(:ada) { dancers.first }
  let(:evening) { studio.rehearsals.order(:date).first }
  let(:odalys) { studio.people.find_by!(name: "Odalys") }

  before do
    make_season(studio)
    sign_in director
    send_form "/pieces/#{piece.id}/plan", {}
    send_form "/pieces/#{piece.id}/plans/#{piece.latest_plan.id}/publish", { "homes" => "99" }
  end

  def text(path) = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def tonight(out) = text("/rehearsals/#{evening.id}/tonight?#{Rack::Utils.build_nested_query('out' => out)}")

  it "says what goes ahead and when who is missing sees it, and what waits for whom" do
    expect(text("/rehearsals/#{evening.id}/call-sheet")).to include "With who is here"
    all = tonight(["0"])
    expect(all).to include("Everybody who is called is here.", "Goes ahead: all 10.", "Nothing falls off.")
    expect(tonight([ada.id]))
      .to match(/are here; Ada Test is not\. .*Goes ahead: 9 of 10\. Ada Test sees it on Tue 9 Feb/)
    few = tonight(dancers.first(6).map(&:id))
    expect(few).to match(/Learn Opening Walk.*Waits: only 4 of 10\./)
    expect(few).to match(/Falls off: Learn Opening Walk.* \(\d+ min\)/)
    expect(tonight([odalys.id])).to include "Waits: nobody leads it without Odalys."
  end

  it "takes who said so, or who the register says, as not here; and gives the room back" do
    ada.absences.create!(studio:, from_date: evening.date, to_date: evening.date)
    expect(text("/rehearsals/#{evening.id}/tonight")).to match(/\d+ of \d+ come; Ada Test is away/)
    studio.attendances.create!(rehearsal: evening, person: ada, present: true, by_name: "Director")
    studio.attendances.create!(rehearsal: evening, person: dancers[1], present: false, by_name: "Director")
    expect(text("/rehearsals/#{evening.id}/tonight")).to include("Bo Test is not", "Give the room back")
    send_form "/rehearsals/#{evening.id}/cancel", { "to" => "yes" }
    expect(get("/rehearsals/#{evening.id}/tonight").status).to eq 404
  end

  it "has somebody out from today in one tap, with what waits and their holes; whoever is back starts marked" do
    send_form "/people/#{ada.id}/out", { "days" => "nine" }
    expect(last_response.status).to eq 422
    send_form "/people/#{ada.id}/out", { "days" => "8" }
    shown = text("/people/#{ada.id}")
    expect(shown).to include("Ada Test is out until Tue 9 Feb.", "Holes, who closes up and who covers in Winter Piece")
    expect(ada.absences.pluck(:from_date, :to_date)).to eq [[Date.new(2027, 2, 2), Date.new(2027, 2, 9)]]
    send_form "/people/#{ada.id}/out", { "days" => "7" }
    expect(ada.absences.count).to eq 1
    App::Shared::Clock.frozen_at = NOW + (8 * 86_400)
    sheet = "/rehearsals/#{studio.rehearsals.order(:date).third.id}/call-sheet"
    expect(text(sheet)).not_to include "starts marked"
    ada.absences.first.update!(to_date: Date.new(2027, 2, 9))
    expect(text(sheet)).to include "Ada Test starts marked"
    ada.absences.first.update!(to_date: Date.new(2027, 2, 20))
    send_form "/people/#{ada.id}/out", { "back" => "yes" }
    expect(ada.absences.pluck(:to_date)).to eq [Date.new(2027, 2, 9)]
  end

  it "prints who is away with the hours where it is not all day" do
    ada.absences.create!(studio:, from_date: evening.date, to_date: evening.date, to_minute: 1110)
    dancers[1].absences.create!(studio:, from_date: evening.date, to_date: evening.date)
    expect(text("/rehearsals/#{evening.id}/call-sheet")).to include "Ada Test (comes at 18:30), Bo Test"
  end

  it "tells a dancer what is new since they were here, and who shows it when; the team what to show, without blame" do
    lesson = piece.published_plan.slots.where(kind: "learn").includes(:rehearsal).order(:id)
      .min_by { |slot| slot.rehearsal.date }
    studio.attendances.create!(rehearsal: lesson.rehearsal, person: ada, present: false, by_name: "Director")
    secret = ada.person_links.issue(studio_id: studio.id).last
    App::Shared::Clock.frozen_at = NOW + (2 * 86_400)
    expect(text("/my/#{secret}")).to include "New since you were here: #{lesson.title.delete_prefix('Learn ')}."
    plan = piece.published_plan
    again = plan.slots.create!(studio_id: studio.id, rehearsal: studio.rehearsals.order(:date).second, kind: "catchup",
                               task_key: lesson.task_key.sub("learn", "caught"), title: "once more", minutes: 10,
                               start_minute: 1110, room: studio.rooms.first)
    { ada => "dancer", odalys => "teacher" }.each do |person, role|
      studio.slot_people.create!(slot: again, person:, role:)
    end
    expect(text("/my/#{secret}")).to include "Odalys shows you, Tue 9 Feb 18:30."
    Records::Mapping::Learnings.append(piece, dancers.drop(1).map do |one|
      App::Shared::LogLine.of(piece, director.account, NOW.to_date)
        .merge(person_id: one.id, item_key: lesson.task_key.delete_prefix("learn-"), kind: "taught", rung: 3, note: "")
    end)
    sign_in director
    shown = text("/pieces/#{piece.id}/who-has-it/catch-up")
    expect(shown).to match(/Show Ada what is new: .*, \d+ min, with \w+/)
    expect(shown).not_to match(/behind|missed|owes/i)
  end
end
