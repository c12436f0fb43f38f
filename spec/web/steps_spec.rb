# frozen_string_literal: true

require "web_helper"

RSpec.describe "steps", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:section) { piece.sections.first }
  let(:path) { "/pieces/#{piece.id}/sections/#{section.id}/steps" }

  before { sign_in director }

  def save(*texts, **more)
    rows = texts.each_with_index.to_h { |text, i| [(i + 1).to_s, { "text" => text, "counts" => "8" }] }
    send_form path, { "rows" => rows, "lock_version" => section.reload.lock_version, **more.transform_keys(&:to_s) }
    last_response
  end

  def texts = section.eights.reload.map(&:text)

  it "keeps what is typed as typed, and begins new eights where the text does" do
    save "1 step R zzz L", "1 kick L // o/s", "in 6: bal R, bal L", "step tch R,L,R,L x2"
    expect(texts).to eq [
      "1 step R zzz L",
      "1 kick L",
      "o/s",
      "bal R, bal L",
      "1-2 step-touch R 3-4 step-touch L 5-6 step-touch R 7-8 step-touch L",
      "1-2 step-touch R 3-4 step-touch L 5-6 step-touch R 7-8 step-touch L"
    ]
    expect(section.eights.pluck(:counts)).to eq [8, 8, 8, 6, 8, 8]
  end

  # Once as it was (and not even then where it was read before), once as it is: everything else is made of these two.
  it "reads the whole piece at most twice to save one eight" do
    piece.agreements.create!(
      studio_id: studio.id, join_key: "j1-2", kind: "agreed", leaving_digest: "2:a", entering_digest: "2:b",
      by_name: "D", day: NOW.to_date, created_at: NOW
    )
    allow(Records::Mapping::Works).to receive(:load).and_call_original
    save "1 step R", "1 kick L"
    expect(texts.first(2)).to eq ["1 step R", "1 kick L"]
    expect(Records::Mapping::Works).to have_received(:load).at_most(:twice)
  end

  it "marks those who were taught what changed, and lowers nobody's tick" do
    dancers = make_cast(piece)
    save "1 step R 2 step L", "1 step R", "", ""
    cells = dancers.first(2).map { |dancer| "#{dancer.id}:s#{section.id}" }
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => cells, "rung" => 4 },
      Date.new(2027, 2, 2)
    ).run
    save "1  step right,  2 step left", "1 step R", "1 step L", ""
    expect(piece.learning_states.where(changed_since: true).count).to eq 0
    save "1 step R 2 step L", "1 step L", "1 step L", ""
    expect(last_response.status).to eq 302
    expect(piece.learning_states.where(changed_since: true).pluck(:person_id, :rung)).to match_array(
      dancers.first(2).map { |d| [d.id, 4] }
    )
    expect(piece.ledger_entries.where(kind: "changed").pluck(:note).uniq).to eq ["eight 2 changed"]
    expect(get("/pieces/#{piece.id}/steps?section=#{section.id}").body).to include(
      "Ada Test and Bram Test",
      "2 dancers have the old one"
    )
  end

  it "answers what cannot be kept, and the later of two writers, with all that was typed" do
    expect(
      save("x" * 1500).then { |r| [r.status, r.body.include?("more than 1000 letters"), r.body.include?("x" * 1500)] }
    ).to eq [422, true, true]
    stale = section.reload.lock_version
    save "1 step R"
    send_form path, { "rows" => { "1" => { "text" => "1 kick L", "counts" => "8" } }, "lock_version" => stale }
    expect([last_response.status, last_response.body]).to match([409, /Saved by somebody else.*1 step R/m])
    expect(last_response.body).to include "1 kick L"
    expect(texts).to eq ["1 step R"]
  end

  it "walks what is typed without saving it" do
    send_form "/pieces/#{piece.id}/steps/preview",
              {
                "section" => section.id,
                "rows" => {
                  "1" => {
                    "text" => "1 step R 2 step R",
                    "counts" => "8"
                  }
                },
                "sequence" => "7"
              }
    expect(last_response.headers["x-sequence"]).to eq "7"
    expect(last_response.body).to include("The right foot already bears the weight", "left foot free")
    expect(texts.uniq).to eq [""]
  end

  it "writes an altered repeat as its difference, and marks who had the old one" do
    link = piece.links.last
    dancers = make_cast(piece)
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => ["#{dancers.first.id}:d#{link.id}"], "rung" => 3 },
      Date.new(2027, 2, 2)
    ).run
    rows = {
      "0" => { "added" => "1 clap // 1 jump" },
      "1" => { "text" => "" },
      "2" => {
        "text" => "1 kick R",
        "counts" => "6"
      },
      "3" => {
        "drop" => "1",
        "text" => "lost"
      }
    }
    changes = "/pieces/#{piece.id}/links/#{link.id}/changes"
    send_form changes, { "rows" => rows, "lock_version" => piece.reload.lock_version }
    expect(
      Records::Mapping::Works.load(studio.pieces.first).links.last.danced
        .map { |d| [d.origin, d.row.counts, d.row.text] }
    ).to eq [[nil, 8, "1 clap"], [nil, 8, "1 jump"], [1, 8, ""], [2, 6, "1 kick R"], [4, 4, ""]]
    expect(piece.learning_states.where(changed_since: true).pluck(:item_key)).to eq ["d#{link.id}"]
    expect(get(changes).body).to include("1 clap // 1 jump", "One dancer who had the old ones is marked.")
    all = (1..4).to_h { |n| [n.to_s, { "drop" => "1" }] }
    send_form changes, { "rows" => all, "lock_version" => piece.reload.lock_version }
    expect([last_response.status, last_response.body]).to match([422, /leave nothing to dance/])
  end

  it "walks from the edges that are stated in the section's form" do
    section.eights.first.update!(text: "1 step R 2 step L")
    form = {
      "name" => section.name,
      "length" => "4 eights",
      "method_preset" => "drill",
      "fidelity" => "set",
      "difficulty" => "1",
      "lock_version" => section.lock_version,
      "time" => "half",
      "feel" => "triplet",
      "entry" => {
        "weight" => "left",
        "facing" => "5",
        "level" => "sideways"
      },
      "exit" => { "weight" => "both" }
    }
    send_form "/pieces/#{piece.id}/sections/#{section.id}", form
    expect(section.reload.attributes).to include(
      "stated_entry" => {
        "weight" => "left",
        "facing" => 5
      },
      "stated_exit" => { "weight" => "both" },
      "time" => "half",
      "feel" => "triplet"
    )
    expect(get("/pieces/#{piece.id}/steps?section=#{section.id}").body).to include(
      "weight on the left, back, standing",
      "weight on both, either may go"
    )
    expect(Records::Mapping::Works.load(studio.pieces.first).order.links.first.link.beats).to eq 64
  end

  it "understands the studio's own words, and lists two names for one move" do
    names = "/pieces/#{piece.id}/names"
    send_form names, { "name" => "the wasp", "like" => "kick somewhere" }
    expect([last_response.status, last_response.body]).to match([422, /Choose a step from the list/])
    send_form names, { "name" => "Heel Wasp", "like" => "pas de bourrée", "counts" => "4" }
    save "1 step R 2 kick L 3-4 heel wasp 5 flick R 6 zumble"
    page = get(names).body
    expect(page).to include(
      "Heel Wasp",
      "like pas de bourrée, 4 counts",
      "zumble",
      "Several names for one move",
      "flick"
    )
    walk = get("/pieces/#{piece.id}/steps?section=#{section.id}").body
    expect(walk).to include("left foot free").or include("right foot free")
    work = Records::Mapping::Works.load(piece)
    exits =
      [studio.reload.vocabulary, Core::Movement::Vocabulary::DEFAULT].map do |v|
        Core::Piece::Danced.new(work, vocabulary: v).section_walk(work.sections.first).steps[-2].state.weight
      end
    expect(exits.uniq.size).to eq 2
    send_form "/pieces/#{piece.id}/names/#{studio.own_steps.first.id}/delete", {}
    expect(texts.first).to include "heel wasp"
  end

  it "keeps what to watch for, at its place, until it is settled" do
    add = "/pieces/#{piece.id}/sections/#{section.id}/corrections"
    send_form add, { "text" => "  the half turn\ngoes too far ", "eight" => "2", "count" => "5" }
    send_form add, { "text" => "nowhere", "eight" => "9" }
    expect(section.notes.corrections.pluck(:text)).to eq ["the half turn goes too far"]
    expect(get("/pieces/#{piece.id}/steps?section=#{section.id}").body).to include(
      "eight 2, count 5",
      "the half turn goes too far",
      "numbers that the section has"
    )
    path = "/pieces/#{piece.id}/corrections/#{section.notes.corrections.first.id}/settle"
    settle = ->(to) { send_form path, { "to" => to } }
    settle["yes"]
    settle["yes"]
    expect(section.notes.corrections.count).to eq 0
    settle["no"]
    expect(section.notes.corrections.count).to eq 1
  end

  it "lists the fork of an altered repeat" do
    spiral = piece.sections.find_by!(name: "Spiral")
    spiral.eights.first(2).each { |eight| eight.update!(text: "1 step R 2 step L 3 step R") }
    piece.links.last.update!(
      changes_made: {
        "replace" => {
          "2" => {
            "counts" => 8,
            "text" => "1 step R 2 step L 3 kick R"
          }
        }
      }
    )
    piece.touch
    expect(
      get("/pieces/#{piece.id}/steps?section=#{spiral.id}").body.squish
    ).to include "Spiral (link 4) parts from link 2 at eight 2, count 3, after 8 counts alike."
  end
end
