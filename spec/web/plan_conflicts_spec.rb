# frozen_string_literal: true

require "web_helper"

# What happens after a plan was made, and how the director hears of it: on Home, beside the plan, and when telling
# people.
RSpec.describe "what a plan does not know of", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }
  let(:now) { studio.local(NOW) }

  before do
    make_season(studio)
    sign_in director
    plan_and_tell(piece)
  end

  def plan_and_tell(piece)
    send_form "/pieces/#{piece.id}/plan", {}
    tell(piece)
  end

  def tell(piece) = send_form("/pieces/#{piece.id}/plans/#{latest(piece).id}/publish", { "homes" => "99" })
  def latest(piece) = piece.reload.latest_plan

  def slots(piece)
    latest(piece).slots.work.includes(:rehearsal).sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
  end

  def plan_conflicts = App::Reading::PlanConflicts.of(latest(piece), piece, now)
  def shown(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }

  it "is nothing after planning" do
    expect(plan_conflicts).to eq []
    expect(shown("/pieces/#{piece.id}/plan")).not_to include "See what to do"
  end

  it "stands first on Home, on the plan and where it is planned again, until it is" do
    slots(piece).first.rehearsal.update!(cancelled_at: NOW)
    said = "The rehearsal on Tue 2 Feb was cancelled."
    expect(shown("/")).to match(/Decide next #{said}/)
    expect([shown("/pieces/#{piece.id}/plan"), shown("/pieces/#{piece.id}/plan/again")]).to all(include(said))
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "anew"
    expect(plan_conflicts).to eq []
    expect(shown("/")).not_to include said
  end

  it "names everybody who is away from what, and a visiting teacher's days" do
    first = slots(piece).first
    dancers.first(2)
      .each do |dancer|
        dancer.absences.create!(studio:, from_date: first.rehearsal.date, to_date: first.rehearsal.date)
      end
    expect(plan_conflicts).to eq ["Ada Test and Bram Test are away on Tue 2 Feb, and called."]
    lesson = slots(piece).find { |slot| slot.kind == "learn" && slot.title.include?("Spiral") }
    teacher = studio.people.find_by!(name: "Mirela")
    studio.visits.create!(person: teacher, date: lesson.rehearsal.date + 1)
    expect(plan_conflicts).to include(
      "Mirela is away on #{App::Shared::Dates.day(lesson.rehearsal.date)}, and called."
    ).or include(a_string_including("Ada Test, Bram Test and Mirela are away"))
  end

  it "says that a pin holds somebody who cannot come, and that minors would go home too late" do
    first = slots(piece).first
    first.update!(pinned: true)
    dancers.last.absences.create!(studio:, from_date: first.rehearsal.date, to_date: first.rehearsal.date)
    expect(plan_conflicts).to eq ["Cleo Test is away on Tue 2 Feb, and called. It is pinned there."]
    studio.update!(settings: { "latest_finish" => 1100 })
    expect(plan_conflicts.join).to match(/(Test|more) would go home too late on Tue 2 Feb/)
  end

  it "sees rooms that are smaller or gone" do
    slots(piece).first.room.update!(capacity: 2)
    expect(plan_conflicts.first).to match(/\AHall is too small on Tue 2 Feb: .*\.\z/)
    other = studio.rooms.create!(name: "Loft", capacity: 9)
    studio.rehearsals.each { |rehearsal| rehearsal.rehearsal_rooms.update_all(room_id: other.id) }
    studio.rehearsals.update_all(updated_at: NOW + 1)
    expect(plan_conflicts.first).to match(/\AHall is not there on Tue 2 Feb: .*\.\z/)
  end

  it "sees warm-ups that have become longer than the time before the first slot" do
    piece.sections.first.update!(hazards: %w[lift])
    piece.touch
    said = /\ANo time is left on Tue 2 Feb for the warm-up or the cool-down: /
    expect(plan_conflicts).to include(a_string_matching(said))
  end

  it "asks for time for what came in, and for whoever came in, and wants none for what is gone" do
    send_form "/pieces/#{piece.id}/structure",
              {
                "structure" => "#{Studios::LINES}\nEpilogue, 2 eights, Odalys",
                "lock_version" => piece.lock_version.to_s
              }
    expect(plan_conflicts).to include(a_string_matching(/\ANot in the plan: Learn Epilogue/))
    send_form "/pieces/#{piece.id}/plan", {}
    make_cast(piece, %w[Dov])
    expect(plan_conflicts).to include(a_string_matching(/\ADov Test is not called to Learn /))
    send_form "/pieces/#{piece.id}/plan", {}
    piece.castings.where(person: dancers.first).delete_all
    piece.touch
    expect(plan_conflicts).to include("Ada Test is no longer in the piece, and called.")
  end

  it "asks for more time where a lesson got less far than it should" do
    lesson = slots(piece).find { |slot| slot.kind == "learn" }
    App::Shared::Clock.frozen_at = Time.utc(2027, 2, 2, 21)
    late = studio.local(App::Shared::Clock.now)
    done = App::Reading::PlanConflicts.of(latest(piece), piece, late)
    expect(done).to include(a_string_matching(/Learn Opening Walk/)), "nobody has it, and the lesson is over"
    keys =
      slots(piece)
        .select { |slot| slot.rehearsal_id == lesson.rehearsal_id }
        .map { |slot| slot.task_key.sub(/\A[a-z]+-/, "") }
    send_json "/pieces/#{piece.id}/ticks",
              { cells: dancers.product(keys).map { |dancer, key| "#{dancer.id}:#{key}" }, rung: 4, kind: "danced" }
    expect(App::Reading::PlanConflicts.of(latest(piece), piece.reload, late).join).not_to include("Learn Opening Walk")
  end

  it "says what nothing needs any longer, but where it stands for the next days as it was told" do
    expect(needless).to eq []
    studio.update!(settings: { "fixed_days" => 0 })
    expect(needless).to include(a_string_matching(/\ANo longer needed: Learn Spiral/))
  end

  def needless
    lesson = slots(piece).find { |slot| slot.kind == "learn" && slot.title.include?("Spiral") }
    send_json "/pieces/#{piece.id}/ticks",
              {
                cells: dancers.map { |dancer| "#{dancer.id}:#{lesson.task_key.delete_prefix('learn-')}" },
                rung: 4,
                kind: "danced"
              }
    plan_conflicts.grep(/No longer needed/)
  end

  describe "where another piece has been told meanwhile" do
    let(:other) do
      make_piece(studio, director, title: "Spring Piece", lines: "Rain, 4 eights, Odalys").tap do |made|
        make_cast(made)
      end
    end

    it "tells nobody to be in two places, and says who would be" do
      send_form "/pieces/#{piece.id}/plan", {}
      plan_and_tell(other)
      standing = piece.published_plan
      Records::Plan.where(id: standing.id).update_all(replaced_at: NOW)
      latest(piece).slots.work.update_all(
        rehearsal_id: slots(other).first.rehearsal_id,
        start_minute: slots(other).first.start_minute,
        updated_at: NOW + 1
      )
      expect(plan_conflicts.join(" ")).to include(
        "called to two pieces at once on #{App::Shared::Dates.day(slots(other).first.rehearsal.date)}",
        "Two pieces are in Hall at once"
      )
      tell(piece)
      expect(shown("/pieces/#{piece.id}/plan")).to match(/Nobody was told: .* Plan again from today first\./)
      expect(latest(piece).published_at).to be_nil
      plan_and_tell(piece)
      expect([latest(piece).published_at, plan_conflicts]).to eq [NOW, []]
    end
  end

  describe "telling people" do
    def mails = Records::Mail.where(studio:).order(:id).map { |mail| [mail.recipient, mail.body] }

    it "tells a teacher of the call that fell away with a rehearsal, once" do
      teacher = make_member(studio, "choreographer", person: studio.people.find_by!(name: "Odalys"))
      lesson = slots(piece).find { |slot| slot.slot_people.any? { |called| called.person_id == teacher.person_id } }
      App::Shared::Clock.frozen_at = NOW + 60
      lesson.rehearsal.update!(cancelled_at: NOW + 60)
      2.times do
        Records::Mail.where(studio:).delete_all
        App::Shared::Clock.frozen_at = App::Shared::Clock.now + 60
        take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "repair"
        tell(piece)
        (@told ||= []) << mails
      end
      expect(@told.first.to_h.fetch(teacher.account.email)).to include(
        "#{App::Shared::Dates.day(lesson.rehearsal.date)}: no longer called"
      )
      expect(@told.last).to eq []
    end
  end
end
