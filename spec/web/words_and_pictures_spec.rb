# frozen_string_literal: true

require "web_helper"

# What screens say and draw of odd but everyday states: what fades, who stands where nobody sees them, a chain too long
# for its names, counts that are not set.
RSpec.describe "words and pictures", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:path) { "/pieces/#{piece.id}" }
  let(:walk) { piece.sections.first }

  before { sign_in director }

  def body = last_response.body
  def text(address) = get(address).then { CGI.unescapeHTML(body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }

  def tick(dancers, key, rung, day)
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => dancers.map { |dancer| "#{dancer.id}:#{key}" }, "rung" => rung },
      Date.iso8601(day)
    ).run
  end

  describe "a cell of who has it" do
    let(:ada) { make_cast(piece).first }

    it "says when it was danced last and that it fades, and keeps a tick beside a change" do
      key = "s#{walk.id}"
      expect(text("#{path}/cell?person=#{ada.id}&item=#{key}")).to include I18n.t("learning.never")
      tick([ada], key, 3, "2027-01-28")
      expect(text("#{path}/cell?person=#{ada.id}&item=#{key}")).to include(
        I18n.t("learning.fading"),
        "5 days ago",
        "at tempo"
      )
      App::Shared::MarkChanged.new(piece, key, [2], director.account, Date.new(2027, 2, 1)).run
      get "#{path}/who-has-it"
      expect(body).to match(/class="[^"]*r3[^"]*fading[^"]*changed/)
    end

    it "names the difference of an altered repeat, and answers for nobody else's cell" do
      key = "d#{piece.links.last.id}"
      expect(text("#{path}/cell?person=#{ada.id}&item=#{key}")).to include "Spiral, with changes"
      expect(
        [get("#{path}/cell?person=0&item=#{key}").status, get("#{path}/cell?person=#{ada.id}&item=s0").status]
      ).to eq [404, 404]
    end
  end

  describe "lines" do
    let(:dancers) do
      make_cast(piece, %w[Ada Bram], group: "Scouts") + make_cast(piece, %w[Cleo], group: "Nurses").last(1)
    end
    let(:groups) { piece.groups.order(:number).to_a }

    before { dancers }

    def parts(section, given)
      send_form "#{path}/sections/#{section.id}/parts",
                {
                  "at" => "1",
                  "lock_version" => section.reload.lock_version,
                  "parts" => given.transform_keys { |group| group.id.to_s }
                }
    end

    it "names a dancer of two groups who is asked for two things" do
      groups[1].group_members.create!(studio:, person: dancers[0])
      parts(walk, groups[0] => { "in" => "1" }, groups[1] => { "in" => "1", "offset" => "4", "hold_before" => "4" })
      expect(
        text("#{path}/spacing?at=1&show=lines")
      ).to include "Ada Test is in Scouts and Nurses, which do different things on 1 to 32."
    end

    it "tells a dancer what is their own: earlier, longer, on the other side" do
      parts(
        walk,
        groups[0] => { "in" => "1" },
        groups[1] => {
          "in" => "1",
          "offset" => "-2",
          "hold_after" => "6",
          "mirrored" => "1"
        }
      )
      expect(walk.parts.order(:id).pluck(:start_offset)).to eq [0, -2]
      token = dancers.last.person_links.issue(studio_id: studio.id).last
      expect(text("/my/#{token}")).to include [
        I18n.t("lines.you_earlier", count: 2),
        I18n.t("lines.you_hold", count: 6),
        I18n.t("lines.you_mirrored")
      ].join(", ")
    end
  end

  it "refuses an entry further off than there is anything to enter" do
    group = (make_cast(piece) && piece.groups.first).id.to_s
    [{ "offset" => "-33" }, { "offset" => "513" }, { "hold_after" => "-1" }, { "hold_before" => "600" }].each do |bad|
      send_form "#{path}/sections/#{walk.id}/parts",
                {
                  "at" => "1",
                  "lock_version" => walk.reload.lock_version,
                  "parts" => {
                    group => {
                      "in" => "1",
                      **bad
                    }
                  }
                }
      expect([last_response.status, walk.parts.count]).to eq [422, 0]
    end
  end

  describe "the floor" do
    it "shows who is pinned, who stands off it, and who is hidden behind somebody" do
      dancers = make_cast(piece)
      link = piece.links.first
      spots =
        [[dancers[0], 0, 2, true], [dancers[1], 0, 3.2, false], [dancers[2], 9, 1, false]].map do |dancer, x, y, pinned|
          { p: dancer.id, x:, y:, f: 1, pinned: }
        end
      send_json "#{path}/links/#{link.id}/formation", { moment: "entry", version: 0, spots: }
      page = text("#{path}/spacing?at=1&see=hidden")
      expect(body).to match(
        /class="spot[^"]*off-floor[^"]*" data-p="#{dancers[2].id}"|data-p="#{dancers[2].id}"[^>]*off-floor/
      )
      expect(page).to include "Cleo"
      send_json "#{path}/links/#{link.id}/formation", { moment: "entry", version: 1, spots: "everybody" }
      expect(last_response.status).to be < 500
    end
  end

  describe "a chain too long for its names" do
    it "keeps every link on the spine, with a letter where there is no room" do
      long =
        make_piece(
          studio,
          director,
          lines: Array.new(40) { |i| "Wonderful Section #{i}, 2 eights, Odalys" }.join("\n"),
          title: "Long"
        )
      get "/pieces/#{long.id}"
      spine = body[%r{<svg[^>]*class="spine.*?</svg>}m]
      expect([spine.scan('class="capsule').size, spine.scan('class="name').size]).to eq [40, 40]
      expect(spine.scan(/class="name[\w ]*">([^<]+)</).flatten.map(&:length).max).to be <= 9
    end

    it "shows a section nobody teaches in its load, and one without counts as nothing" do
      walk.update!(choreographer: nil)
      piece.touch
      expect(text(path)).to include("nobody yet").or include("Nobody teaches")
      expect(body).to include ": Opening Walk"
    end
  end

  it "draws an eight as it is called, with its parts of counts, and what has no count yet at its end" do
    walk.eights.first.update!(text: "5 step R 6& ball-change L R 8e close L 1 kick R")
    walk.eights.second.update!(text: "1 step R, clap, reach up")
    piece.touch
    get "#{path}/steps?section=#{walk.id}"
    first, second = body.scan(%r{<svg[^>]*eight-picture.*?</svg>}m).first(2)
    expect(first.scan(/class="count layer[^"]*"[^>]*>([^<]+)</).flatten).to eq %w[5 6 8 1]
    expect(second).not_to include "clap"
    expect(text("#{path}/steps?section=#{walk.id}")).to include I18n.t("steps.not_set", moves: "clap, reach up")
  end

  it "shows what a mend would state, in words" do
    walk.update!(stated_exit: { "weight" => "right" })
    walk.eights.last.update!(text: "8 step L")
    piece.sections.second.eights.first.update!(text: "1 step R")
    piece.touch
    get "#{path}/joins/1"
    mends =
      CGI
        .unescapeHTML(body)
        .scan(/href="([^"]*mend[^"]*)"/)
        .flatten
        .map { |each| each.start_with?("/") ? each : "#{path}/joins/1/#{each}" }
    shown =
      mends
        .map { |each| text(each) }
        .find { |page| page.include?("leaves the right foot free") || page.include?("leaves the left foot free") }
    expect(shown).to include(I18n.t("weights.right"), I18n.t("weights.left"))
  end

  it "says how much of a plan has no place, and that it is a draft" do
    make_cast(piece)
    make_season(studio, last: "2027-02-02", to: "18:45")
    send_form "#{path}/plan", {}
    short = piece.latest_plan.result["unplaced"].sum { |task| task["minutes"] }
    expect(text("/")).to include(I18n.t("decisions.short", minutes: short), I18n.t("decisions.draft"))
    expect(text("#{path}/plan")).to include("What does not fit", "What has no place")
  end
end
