# frozen_string_literal: true

require "web_helper"

RSpec.describe "joins", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) do
    make_piece(
      studio,
      director,
      lines: "Smoke, 1 eight, Odalys\nDrift, 1 eight, Mirela\nSmoke again\nComb, 1 eight, Mirela"
    )
  end
  let(:teachers) { studio.people.choreographers.order(:id).to_a }
  let(:members) { teachers.map { |person| make_member(studio, "choreographer", person:, name: person.name) } }
  let!(:dancers) { make_cast(piece) }

  before do
    write("Smoke", "1 step L 8 step R")
    write("Drift", "1 step R 8 step R")
    write("Comb", "1-8 arms open")
    members
    sign_in director
  end

  def write(name, text)
    piece.sections.find_by!(name:).eights.first.update!(text:)
    piece.touch
  end

  def texts = piece.sections.reload.to_h { |section| [section.name, section.eights.map(&:text)] }
  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def joins = "/pieces/#{piece.id}/joins"

  def agree(index = 1, **more)
    send_form("#{joins}/#{index}/agree", { "words" => "on the spot", **more.transform_keys(&:to_s) })
  end

  def standing(index = 1)
    App::Reading::PieceSnapshots.of(studio.pieces.find(piece.id))
      .then { |snapshot| App::Reading::JoinStanding.new(snapshot.review.joins[index - 1], snapshot) }
  end

  def mend(index, state, number, **more)
    send_form(
      "#{joins}/#{index}/mend",
      {
        "state" => state,
        "n" => number.to_s,
        "lock_version" => piece.reload.lock_version,
        **more.transform_keys(&:to_s)
      }
    )
  end

  it "lists every join in order with how it stands, and shows one face to face" do
    expect(text(joins)).to include(
      "one clash",
      "Smoke ends: weight on the right. Drift starts: steps out on the right.",
      "4 mends"
    )
    expect(text("#{joins}/1")).to include(
      "Smoke into Drift",
      "Take it from Smoke, eight 1: count 1",
      "weight on the right",
      "steps out on the right",
      "End Smoke with a weight change on 8",
      "0 of 3 have it"
    )
    expect(get("#{joins}/9").status).to eq 404
  end

  it "previews a mend with what it changes elsewhere, does it, marks who had the old one, tells the owner, and " \
     "undoes it" do
    cells = ["#{dancers.first.id}:s#{piece.sections.first.id}"]
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => cells, "rung" => 4 },
      Date.new(2027, 2, 2)
    ).run
    shown = text("#{joins}/1/mend?state=weight&n=0")
    expect(shown).to include("1 step L 8 step R & close L", "One dancer".downcase.sub("one", "1"), "Do it")
    mend(1, "weight", 0)
    expect(texts["Smoke"]).to eq ["1 step L 8 step R & close L"]
    expect(piece.learning_states.where(changed_since: true).pluck(:person_id, :rung)).to eq [[dancers.first.id, 4]]
    expect(studio.mails.pluck(:recipient, :subject)).to include(
      [members.first.account.email, "Winter Piece: Smoke was mended"]
    )
    undo = get("#{joins}/1").then { last_response.body[%r{action="(/pieces/\d+/revisions/\d+/restore)"}, 1] }
    send_form undo, {}
    expect(texts["Smoke"]).to eq ["1 step L 8 step R"]
  end

  it "does a mend here only, as a repeat with changes, and refuses one that was looked at too long ago" do
    send_form "#{joins}/1/mend", { "state" => "weight", "n" => "0", "lock_version" => "0" }
    expect(get("#{joins}/1").body).to include("Somebody changed this piece while you looked")
    mend(1, "weight", 0, here: 1)
    expect([texts["Smoke"], piece.links.order(:position).map { |link| link.changes_made.any? }]).to eq [
      ["1 step L 8 step R"],
      [true, false, false, false]
    ]
  end

  it "lets a choreographer mend only their own section" do
    sign_in members.last
    mend(1, "weight", 0)
    expect(last_response.status).to eq 403
    number = standing.open.first.mends.index { |each| each.change == :mirror_eight }
    mend(1, "weight", number)
    expect(texts["Drift"]).to eq ["1 step L 8 step L"]
  end

  it "is not agreed where a side was changed since it was looked at" do
    get "#{joins}/1"
    seen = last_response.body[/name="seen" value="([^"]+)"/, 1]
    piece.sections.second.eights.first.update!(text: "1 step L 3 clap")
    piece.touch
    agree(1, seen:)
    expect([last_response.status, last_response.body]).to match [422, /changed since you looked/]
    expect(piece.agreements.count).to eq 0
    agree(1, seen: get("#{joins}/1") && last_response.body[/name="seen" value="([^"]+)"/, 1])
    expect(piece.agreements.count).to eq 1
  end

  it "is agreed by whoever runs the rehearsal, once; the others are told; taking it back is kept too" do
    assistant = make_member(studio, "assistant", name: "Perrin")
    sign_in assistant
    agree
    expect([standing.state, standing(3).state]).to eq %i[agreed fits]
    expect(studio.mails.pluck(:recipient)).to match_array(members.map { |member| member.account.email })
    expect(text("#{joins}/1")).to include("agreed in the room , Tue 2 Feb, Perrin: “on the spot”")
    agree(1, withdraw: "1", words: "")
    expect([standing.state, piece.agreements.pluck(:kind)]).to eq [:clash, %w[agreed withdrawn]]
    agree(1, words: "x" * 400)
    expect([last_response.status, piece.agreements.count]).to eq [422, 2]
    expect { piece.agreements.first.update!(words: "other") }.to raise_error(
      ActiveRecord::StatementInvalid,
      /append-only/
    )
  end

  it "is changed since agreed when an edge changes: both are told, who had it is to be checked again, nothing is " \
     "reset" do
    agree
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => ["#{dancers.first.id}:#{standing.join.key}"], "rung" => 3 },
      Date.new(2027, 2, 2)
    ).run
    Records::Mail.where(studio:).delete_all
    section = piece.sections.first
    save = lambda do |text|
      send_form(
        "/pieces/#{piece.id}/sections/#{section.id}/steps",
        { "rows" => { "1" => { "text" => text, "counts" => "8" } }, "lock_version" => section.reload.lock_version }
      )
    end
    save.call("1  Step L 8 step R")
    expect(standing.state).to eq :agreed
    save.call("1 step L 8 kick R")
    expect([standing.state, standing.changed]).to eq [:changed, [:leaving]]
    expect(Records::Mail.where(studio:).pluck(:subject).uniq).to eq [
      "Winter Piece: Smoke into Drift changed since it was agreed"
    ]
    expect(piece.learning_states.where(item_key: standing.join.key).pluck(:rung, :changed_since)).to eq [[3, true]]
    expect(text("/")).to include("Smoke into Drift changed since it was agreed")
    agree
    expect(standing.state).to eq :agreed
  end

  it "belongs to the entering choreographer unless the director says otherwise" do
    expect(standing.owner_id).to eq teachers.last.id
    send_form "#{joins}/1/owner", { "owner" => teachers.first.id.to_s, "note" => "she has the music in her ear" }
    expect([standing.owner_id, standing.note]).to eq [teachers.first.id, "she has the music in her ear"]
  end

  it "holds the opening and the ending like joins" do
    send_form "/pieces/#{piece.id}/ends/opening",
              { "pose" => "a heap", "weight" => "right", "level" => "floor", "facing" => "sideways" }
    expect(piece.reload.setting("opening")).to eq("pose" => "a heap", "weight" => "right", "level" => "floor")
    expect(text(joins)).to include("Opening ends: on the floor. Smoke starts: standing, with 0 counts between.")
    send_form "/pieces/#{piece.id}/ends/ending", { "picture" => "all low", "held" => "900" }
    expect([last_response.status, last_response.body]).to match([422, /1 to 64 counts/])
  end
end
