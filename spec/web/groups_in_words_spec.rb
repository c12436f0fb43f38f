# frozen_string_literal: true

require "web_helper"

# Groups as teachers type them: their own steps, when they begin, who holds; and everything that follows from it.
RSpec.describe "groups in words", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:path) { "/pieces/#{piece.id}" }
  let(:walk) { piece.sections.first }
  let(:dancers) do
    make_cast(piece, %w[Ada Bram], group: "Scouts") && make_cast(piece, %w[Cleo Dot], group: "Builders")
  end
  let(:builders) { piece.groups.find_by!(name: "Builders") }
  let(:key) { "s#{walk.id}@#{builders.id}" }

  before do
    dancers
    sign_in director
  end

  def text(address) = CGI.unescapeHTML(get(address).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def lanes(index) = App::Reading::PieceSnapshots.of(piece.reload).lines.lanes(index)

  def type(section, *texts)
    rows = section.eights.reload.map.with_index do |eight, i|
      [(i + 1).to_s,
       { "counts" => eight.counts.to_s, "text" => texts[i] || eight.text, "cue" => "", "name" => "" }]
    end
    send_form "#{path}/sections/#{section.id}/steps",
              { "lock_version" => section.reload.lock_version, "rows" => rows.to_h }
  end

  it "draws a group's own steps under the eight, says how it ends, and gives it a line and an item of its own" do
    type(walk, "1 step R 2 step L. Builders: 1 stomp L 2 stomp R")
    expect(text("#{path}/steps?section=#{walk.id}")).to include(
      "Builders their own steps on the same counts",
      "stomp R",
      "Builders left foot free"
    )
    expect(lanes(1).by_group[builders.id].map { |lane| [lane.from, lane.to, lane.own] })
      .to eq [[1, 8, true], [9, 32, false]]
    expect(text("#{path}/who-has-it")).to include "Opening Walk, Builders"
    expect(get("#{path}/spacing?at=1&show=lines").body).to include("own steps", "typed in the")
    token = dancers.find { |each| each.name.start_with?("Cleo") }.person_links.issue(studio_id: studio.id).last
    expect(text("/my/#{token}")).to include("you have steps of your own", "Opening Walk, Builders")
  end

  it "marks those who were shown a group's own steps when these change, and nobody else" do
    type(walk, "1 step R 2 step L. Builders: 1 stomp L 2 stomp R")
    cells = dancers.last(2).flat_map { |dancer| ["#{dancer.id}:#{key}", "#{dancer.id}:s#{walk.id}"] }
    App::Learning::Actions::RecordTicks.new(
      piece, director, { "cells" => cells, "rung" => 3 }, Date.iso8601("2027-02-01")
    ).run
    type(walk, "1 step R 2 step L. Builders: 1 stomp L 2 kick R")
    changed = piece.ledger_entries.where(kind: "changed").pluck(:item_key, :person_id)
    expect(changed.map(&:first).uniq).to eq [key]
    expect(changed.map(&:last).sort).to eq dancers.last(2).map(&:id).sort
  end

  it "says of a join whose it is that does not fit, on the join and in the list" do
    spiral = piece.sections.second
    type(walk, "1 step L", nil, nil, "1 step L 2 step R. Builders: 1 step R 2 step L")
    type(spiral, "1 step L 2 step R")
    expect(text("#{path}/joins/1")).to include "Builders: Opening Walk ends: weight on the left."
    expect(text("#{path}/joins")).to include "Builders: Opening Walk ends"
    expect(App::Reading::PieceSnapshots.of(piece.reload).review.joins.first.verdict).to eq :clash
  end

  it "asks who is meant by a name that no group has, and types the answer where it stood" do
    type(walk, "walk R L R L, Reds 4 later")
    expect(text("#{path}/steps?section=#{walk.id}")).to include(
      "No group is called “Reds”.",
      "Which group is meant by “Reds”?"
    )
    expect(text("#{path}/joins/1")).to include "Not known: who is meant by “Reds” in Opening Walk."
    snapshot = App::Reading::PieceSnapshots.of(piece.reload)
    one = App::Reading::OpenQuestions.new(piece, snapshot).waiting.find { |each| each.kind == :group_who }
    send_form "#{path}/settle", { "question" => one.key, "answer" => "Builders", "back" => "steps",
                                  "lock_version" => piece.lock_version }
    expect(walk.eights.first.reload.text).to eq "walk R L R L, Builders 4 later"
    expect(lanes(1).by_group[builders.id].first.to_h.slice(:to, :doing)).to eq({ to: 4, doing: :holding })
    expect(text("#{path}/steps?section=#{walk.id}")).to include "groups: Builders 4 later"
  end

  it "keeps lines as they were typed when they are saved by hand, waits on the way included" do
    type(walk, "walk R L", "walk R L, Builders 2 later")
    form = Nokogiri::HTML(get("#{path}/spacing?at=1&show=lines").body).at("form.mt-5")
    fields = form.css("input, select").to_h { |field| [field["name"], field["value"].to_s] }
    checked = form.css("input[type=checkbox]:not([checked])").map { |field| field["name"] }
    send_form "#{path}/sections/#{walk.id}/parts", Rack::Utils.parse_nested_query(
      fields.except(*checked, "authenticity_token", nil).map { |name, value| "#{name}=#{value}" }.join("&")
    )
    expect(walk.parts.reload.order(:id).pluck(:start_offset, :hold_after, :pauses))
      .to eq [[0, 2, []], [0, 0, [[8, 2]]]]
    expect(lanes(1).by_group[builders.id].map { |lane| [lane.from, lane.to, lane.doing] })
      .to eq [[1, 8, :moving], [9, 10, :holding], [11, 34, :moving]]
    send_form "#{path}/sections/#{walk.id}/parts",
              { "way" => "canon", "step" => "4", "first" => builders.id.to_s, "at" => "1" }
    expect(walk.parts.reload.order(:group_id).pluck(:start_offset, :hold_before, :hold_after, :pauses))
      .to contain_exactly([4, 4, 0, []], [0, 0, 4, []])
  end

  it "gives a version to a group; what is given to a dancer goes before" do
    walk.eights.first.update!(text: "1 step R 2 step L")
    send_form "#{path}/sections/#{walk.id}/versions/seated", {
      "rows" => { "1" => { "text" => "1 wheel" } }, "groups" => { builders.id => "section" }, "lock_version" => 0
    }
    expect(piece.version_people.pluck(:group_id, :person_id, :section_id)).to eq [[builders.id, nil, walk.id]]
    cleo, dot = dancers.last(2)
    piece.version_people.create!(studio:, person: dot, section: walk, kind: "arms_only")
    given = App::Reading::VersionLines.of(piece.reload)[:dancers]
    expect(given).to eq(cleo.id => { walk.id => "seated" }, dot.id => { walk.id => "arms_only" })
    expect(text("#{path}/joins/1")).to include "Seated (#{cleo.name})"
    expect(text("#{path}/steps?section=#{walk.id}&version=seated")).to include "Builders"
  end
end
