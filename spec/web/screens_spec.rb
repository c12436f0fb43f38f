# frozen_string_literal: true

require "web_helper"

# What each screen tells, from a season that is set up by hand.
RSpec.describe "screens", :web do
  let(:studio) { make_studio("Larkhill") }
  let(:director) { make_member(studio, "director") }
  let!(:piece) { make_piece(studio, director) }
  let(:now) { studio.local(NOW) }

  before { sign_in director }

  def body = last_response.body
  def text(path) = get(path).then { CGI.unescapeHTML(body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }

  def told_plan
    plan = App::Planning::Actions::Make.new(piece, director.account, now).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    plan
  end

  # A slot of a told plan, put where a spec needs it.
  def slot(plan, rehearsal, kind, time, people, **more)
    made =
      plan.slots.create!(
        studio:,
        rehearsal:,
        kind:,
        task_key: kind,
        title: kind.capitalize,
        start_minute: time.begin,
        minutes: time.size - 1,
        **more
      )
    people.each { |person, role| made.slot_people.create!(studio:, person:, role: role || "dancer") }
  end

  describe "a call sheet" do
    let(:dancers) { make_cast(piece) }
    let(:rehearsal) { studio.rehearsals.standing.last }
    let(:sheet) { App::Calls::Pages::CallSheet.new(rehearsal, director, now) }

    before do
      make_season(studio, last: "2027-02-09")
      plan = piece.plans.create!(studio:, number: 1, published_at: NOW)
      teacher = studio.people.find_by!(name: "Odalys")
      slot(plan, rehearsal, "warm_up", 1080..1095, [[dancers[0]], [dancers[1]]])
      slot(
        plan,
        rehearsal,
        "learn",
        1095..1125,
        [[dancers[0]], [dancers[1]], [teacher, "teacher"]],
        section_ids: [piece.sections.first.id],
        from_link: 1,
        to_link: 1
      )
      slot(plan, rehearsal, "run", 1140..1160, [[dancers[0]], [dancers[2]]])
      slot(plan, studio.rehearsals.standing.first, "join", 1100..1110, [[dancers[0]]])
      piece.sections.first.update!(hazards: ["lift"], bring: "mats")
    end

    it "calls those who come after the warm-up early enough to warm up alone" do
      calls = sheet.calls.to_h { |call| [call.person.first_name, [call.arrive, call.release, call.alone?]] }
      expect(calls).to eq(
        "Ada" => [1080, 1160, false],
        "Bram" => [1080, 1125, false],
        "Cleo" => [1125, 1160, true],
        "Odalys" => [1095, 1125, false]
      )
    end

    it "names who dances by group where it can, what to bring and mind, and where the music starts" do
      dancers[1].absences.create!(studio:, from_date: rehearsal.date, to_date: rehearsal.date)
      page = text("/rehearsals/#{rehearsal.id}/call-sheet")
      expect(page).to include(
        "Ada Test, Bram Test",
        "warm up by yourself first",
        "Opening Walk: mats",
        "With a spotter until both say otherwise",
        "Away Bram Test",
        "count in before the music"
      )
    end

    it "shows a dancer their own next calls, and nothing once the link is revoked" do
      _, token = dancers[2].person_links.issue(studio_id: studio.id)
      expect(text("/my/#{token}")).to include(
        "Tue 9 Feb, 18:45",
        "until 19:20",
        "warm up by yourself first",
        "0 of 8 learned"
      )
      send_form "/people/#{dancers[2].id}/link/revoke", {}
      expect(get("/my/#{token}").status).to eq 404
    end
  end

  describe "home" do
    it "says what waits for somebody, with the way there" do
      expect(text("/")).to include("Say who is in it")
      make_cast(piece)
      make_season(studio)
      piece.sections.last.update!(choreographer: nil)
      piece.links.where(section: piece.sections.last).delete_all
      piece.touch
      expect(text("/")).to include(
        "Nobody teaches Spiral yet",
        "There is no rehearsal plan yet",
        "Spiral is written but has no place in the order"
      )
      told_plan
      expect(text("/")).to include("Next rehearsal Tue 2 Feb", "Learn Opening Walk")
    end

    it "finds the join that was never made between two links that are danced" do
      dancers = make_cast(piece)
      cells = piece.sections.flat_map { |section| dancers.map { |dancer| "#{dancer.id}:s#{section.id}" } }
      App::Learning::Actions::RecordTicks.new(
        piece,
        director,
        { "cells" => cells, "rung" => 4 },
        Date.new(2027, 2, 2)
      ).run
      expect(text("/")).to include("Opening Walk into Spiral: both sides are danced, the join was never made")
      expect(text("/pieces/#{piece.id}")).to include("Opening Walk runs when the whole cast is here")
    end
  end

  describe "who has it" do
    it "serves sixty dancers a page, by group, and what was picked on the spine" do
      make_cast(piece, Array.new(70) { |i| "D#{format('%02d', i)}" })
      make_cast(piece, %w[Solo], group: "Other")
      path = "/pieces/#{piece.id}/who-has-it"
      rows = ->(address) { get(address).then { body.scan("<tr data-p=").size } }
      group = piece.groups.find_by!(name: "Other")
      expect([rows[path], rows["#{path}?page=2"], rows["#{path}?page=99"], rows["#{path}?group=#{group.id}"]]).to eq [
        60,
        11,
        11,
        1
      ]
      columns = ->(address) { get(address).then { body.scan("data-item=").size } }
      expect([columns[path], columns["#{path}?at=2"], columns["#{path}?at=1j"]]).to eq [9, 3, 3]
    end
  end

  describe "people" do
    it "keeps names apart, gives each new choreographer a tape of their own, and brings back who was put away" do
      2.times { send_form "/people", { "name" => "Odile  Swan", "teaches" => "1" } }
      expect([last_response.status, body]).to match([422, /There is a Odile Swan already/])
      send_form "/people", { "name" => "Benno", "teaches" => "1" }
      expect(studio.people.order(:id).pluck(:name, :tape)).to eq [
        ["Odalys", 1],
        ["Mirela", 2],
        ["Odile Swan", 3],
        ["Benno", 4]
      ]
      send_form "/people/#{studio.people.last.id}/archive", { "to" => "yes" }
      undo = get("/people").then { body[%r{action="(/people/\d+/archive\?to=no)"}, 1] }
      send_form undo, {}
      expect(studio.people.present.count).to eq 4
    end

    it "takes absences and visiting dates, and says which it cannot read" do
      person = studio.people.create!(name: "Guest", teaches: true)
      send_form "/people/#{person.id}/absences", { "from_date" => "2027-02-10", "to_date" => "2027-02-01" }
      expect([last_response.status, body]).to match([422, /last day comes before the first/])
      send_form "/people/#{person.id}/absences", { "from_date" => "2027-02-10", "from" => "17:00", "to" => "18:30" }
      expect(text("/people/#{person.id}")).to include("Wed 10 Feb, away 17:00 – 18:30")
      send_form "/people/#{person.id}/visits", { "dates" => "2027-02-02\n2027-02-31" }
      expect([last_response.status, body]).to match [422, /“2027-02-31” is no date/]
      send_form "/people/#{person.id}/visits", { "dates" => "2027-02-02, 2027-02-16" }
      expect(person.visits.pluck(:date).map(&:to_s)).to eq %w[2027-02-02 2027-02-16]
    end

    it "matches a roster with who is there, and only adds groups to them" do
      dancers = make_cast(piece)
      send_form "/roster", { "piece" => piece.id, "text" => "ada test,Soloists,yes\nNew Face,Soloists" }
      expect(studio.people.dancers.count).to eq dancers.size + 1
      expect(piece.groups.find_by!(name: "Soloists").then { |g| [g.leader.name, g.people.count] }).to eq ["Ada Test", 2]
    end
  end

  describe "a plan's seasons" do
    it "keeps visiting choreographers to their dates, minors to their limit, and leaves room for bodies" do
      make_season(studio, last: "2027-02-16")
      make_cast(piece)
      studio.people.find_by!(name: "Mirela").visits.create!(studio:, date: "2027-02-09")
      problem =
        Records::Mapping::Seasons.new(piece, now:).problem(
          [Core::Planning::Task.new(id: "x", kind: "run", minutes: 10, dancers: piece.people.ids)],
          hazards: ["lift"]
        )
      expect(problem.windows.map { |w| [w.date, w.start, w.finish] }).to eq [
        ["2027-02-02", 1100, 1195],
        ["2027-02-09", 1100, 1195],
        ["2027-02-16", 1100, 1195]
      ]
      expect(problem.unavailable.map { |away| away[:date] }).to eq %w[2027-02-02 2027-02-16]
      expect(problem.limits.map { |limit| limit[:minutes_per_day] }.uniq).to eq [300]
    end

    it "puts nobody into a room that is too small for them, bodies included" do
      make_season(studio, rooms: [["Loft", 3], ["Hall", 9]])
      make_cast(piece, %w[A B C D], group: "Many")
      few = piece.groups.create!(studio:, name: "Few", number: 9)
      few.group_members.create!(studio:, person: piece.people.first)
      piece.sections.first.parts.create!(studio:, group: few)
      piece.touch
      over =
        told_plan.slots.includes(:room, :slot_people)
          .select { |each| each.slot_people.count { |called| called.role == "dancer" } > each.room.capacity }
      expect(over).to be_empty
      expect(studio.slots.pluck(:kind)).to include("warm_up", "cool_down", "learn", "run")
    end

    it "keeps what is past in the plan that was told" do
      make_season(studio)
      make_cast(piece)
      told_plan
      later = studio.local(NOW + (8 * 86_400))
      again = App::Planning::Actions::Make.new(piece.reload, director.account, later).run
      first = studio.rehearsals.standing.first
      expect(again.slots.where(rehearsal: first).order(:start_minute).pluck(:title)).to eq piece
        .published_plan
        .slots
        .where(rehearsal: first)
        .order(:start_minute)
        .pluck(:title)
      expect(again.slots.where(rehearsal: first).first.slot_people.where(role: "dancer").count).to eq 3
    end
  end

  describe "settings" do
    it "checks its figures, changes roles, and keeps the outbox to the studio" do
      send_form "/settings",
                {
                  "name" => "",
                  "time_zone" => "Mars/Base",
                  "warm_up" => "7",
                  "cool_down" => "5",
                  "max_continuous" => "55",
                  "rest" => "5",
                  "daily_minutes" => "300",
                  "new_eights" => "0"
                }
      expect([last_response.status, body]).to match(
        [422, /a whole number of minutes from 5 to 60.*a whole number from 1 to 40/m]
      )
      assistant = make_member(studio, "assistant")
      send_form "/memberships/#{assistant.id}", { "role" => "choreographer" }
      expect(assistant.reload.role).to eq "choreographer"
      make_studio.mails.create!(recipient: "x@example.org", subject: "Elsewhere", body: "secret")
      send_form "/invitations", { "email" => "not an address", "role" => "assistant" }
      expect(last_response.status).to eq 422
      send_form "/invitations", { "email" => "new@example.org", "role" => "assistant" }
      expect(text("/outbox")).to include("Larkhill invites you").and(satisfy { |page| !page.include?("Elsewhere") })
    end

    it "lets somebody of two studios go from one to the other" do
      other = make_studio("Second Home")
      other.memberships.create!(account: director.account, role: "assistant")
      expect(text("/studios")).to include("Larkhill", "Second Home")
      send_form "/studios/#{other.id}/enter", {}
      expect(text("/settings")).to include("Rehearsal assistant at Second Home")
    end
  end
end
