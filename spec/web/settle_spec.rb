# frozen_string_literal: true

require "web_helper"

# What joins ask: under "To settle", answered by one tap, remembered for the teacher whose word it is, taken back, put
# off to the room, closed by an agreement; never on the director's Home.
RSpec.describe "to settle", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director).reload }
  let(:odalys) { section("Opening Walk").choreographer }
  let(:path) { "/pieces/#{piece.id}" }
  let(:teacher) { make_member(studio, "choreographer", name: "Odalys", person: odalys) }
  let(:assistant) { make_member(studio, "assistant") }

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def section(name) = piece.sections.find_by!(name:)

  # Both places where Opening Walk is left end with the same unknown word.
  def write
    section("Opening Walk").eights.last.update!(text: "1 step R 2 step L 3-8 weathervane")
    section("Spiral").eights.first.update!(text: "1 step R 2 step L")
    piece.touch
    App::Reading::PieceSnapshots.clear
  end

  def questions
    App::Reading::PieceSnapshots.clear
    App::Reading::OpenQuestions.new(piece.reload, App::Reading::PieceSnapshots.of(piece))
  end

  def answer(with, back: "settle")
    key = questions.waiting.first.key
    send_form "#{path}/settle",
              { "question" => key, "answer" => with, "back" => back, "lock_version" => piece.reload.lock_version.to_s }
  end

  # A rehearsal for which people are called to Opening Walk.
  def called
    make_cast(piece)
    make_season(studio)
    plan = App::Planning::Actions::Make.new(piece, director.account, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    plan.slots.find { |slot| slot.section_ids.include?(section("Opening Walk").id) }.rehearsal
  end

  before do
    teacher
    assistant
    write
  end

  it "is asked of whoever teaches the line, on Home, Steps and the join, and is no business of the director's Home" do
    sign_in teacher
    asked = "What does “weathervane” do to the feet?"
    ["/", "#{path}/settle", "#{path}/steps?section=#{section('Opening Walk').id}", "#{path}/joins/1"].each do |page|
      expect(text(page)).to include(asked, "ends on the left", "see it in the room", "leave open"), page
    end
    sign_in director
    expect(text("/")).not_to include "weathervane"
    expect(text("#{path}/joins/1")).to include(asked, "not known since “weathervane”")
    section("Opening Walk").eights.last.update!(text: "step R, weathervane")
    piece.touch
    App::Reading::PieceSnapshots.clear
    expect(text("#{path}/joins/1")).to include "count not set: step R, weathervane"
  end

  it "goes to the assistants after three days, and at once where the teacher has no account" do
    section("Opening Walk").update_columns(updated_at: NOW)
    sign_in assistant
    expect(text("/")).not_to include "weathervane"
    section("Opening Walk").update_columns(updated_at: NOW - (4 * 86_400))
    App::Reading::PieceSnapshots.clear
    expect(text("/")).to include "What does “weathervane” do to the feet?"
    section("Opening Walk").update_columns(updated_at: NOW)
    App::Reading::PieceSnapshots.clear
    expect(text("/")).not_to include "weathervane"
    teacher.destroy!
    App::Reading::PieceSnapshots.clear
    expect(text("/")).to include "What does “weathervane” do to the feet?"
  end

  it "is settled by one tap, remembered for that teacher's words alone, and taken back as quickly" do
    sign_in teacher
    answer "left", back: "home"
    expect(last_response.location).to end_with "/"
    expect(questions.waiting.map(&:key)).to be_empty
    row = studio.word_meanings.holding.sole
    expect([row.word, row.effect, row.teacher_id]).to eq ["weathervane", "left", odalys.id]
    expect(text("/")).to include "Settled: ends on the left."

    section("Spiral").eights.last.update!(text: "1 step L 2-4 weathervane")
    section("Opening Walk").eights.first.update!(text: "1 step R")
    piece.touch
    other = questions.waiting.find { |one| one.section == section("Spiral") }
    expect([other.question.word, other.said]).to eq ["weathervane", [%w[Odalys left]]]

    send_form "#{path}/words/#{row.id}/forget", {}
    expect([row.reload.undone_at.nil?, studio.word_meanings.holding.count]).to eq [false, 0]
    expect(questions.waiting.map { |one| one.section.name }).to include "Opening Walk"
  end

  it "states an end where no word is in doubt, as a revision that can be taken back, and refuses what moved on" do
    section("Opening Walk").eights.last.update!(text: "1-8 arms open")
    piece.touch
    sign_in teacher
    stale = piece.reload.lock_version - 1
    key = questions.waiting.first.key
    send_form "#{path}/settle", { "question" => key, "answer" => "right", "lock_version" => stale.to_s }
    expect(section("Opening Walk").stated_exit).to eq({})
    answer "right"
    expect(section("Opening Walk").reload.stated_exit).to eq("weight" => "left")
    expect(questions.find(key)).to be_nil
    send_form "#{path}/settle", { "question" => key, "answer" => "right" }
    expect(text("#{path}/settle")).to include "That is settled already."
  end

  it "waits for nothing: it can be left open, or stand on the call sheet, or be closed by an agreement" do
    sign_in teacher
    answer "open"
    expect([questions.waiting, questions.all.map(&:way)]).to eq [[], ["open"]]
    expect(text("#{path}/settle")).to include("Put off", "left open", "ask again")
    send_form "#{path}/settle", { "question" => questions.all.first.key, "answer" => "again" }
    expect(questions.waiting.size).to eq 1
    answer "room"
    expect(questions.all.map(&:way)).to eq ["room"]

    expect(text("/rehearsals/#{called.id}/call-sheet")).to include("Look", "what “weathervane” does to the feet")

    Records::Aside.delete_all
    App::Reading::PieceSnapshots.clear
    [1, 3].each do |index|
      get "#{path}/joins/#{index}"
      send_form "#{path}/joins/#{index}/agree", { "words" => "left" }
    end
    expect(questions.all.map { |one| one.section.name }).not_to include "Opening Walk"
  end

  it "is answered by nobody whose line it is not, and takes no other answer" do
    stranger = section("Spiral").choreographer
    sign_in make_member(studio, "choreographer", name: "Mirela", person: stranger)
    answer "left"
    expect([last_response.status, studio.word_meanings.count]).to eq [403, 0]
    sign_in teacher
    answer "sideways"
    expect([studio.word_meanings.count, text("#{path}/settle")]).to match [0, include("That is none of the answers.")]
  end
end
