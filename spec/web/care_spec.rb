# frozen_string_literal: true

require "web_helper"
require "support/erasing_form"

# What a plan keeps for bodies and for memory, as rows, on screens and call sheets; and how far a section was taught.
RSpec.describe "care in the plan", :web do
  include ErasingForm

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }
  let(:now) { studio.local(NOW) }
  let(:plan_path) { "/pieces/#{piece.id}/plan" }

  before do
    make_season(studio)
    sign_in director
  end

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def season = Records::Mapping::Seasons.new(piece.reload, now:)
  def latest = piece.reload.latest_plan
  def problem = season.problem([task("t", "learn", 30, dancers: dancers.map(&:id))])
  def id(person) = "p#{person.id}"

  def slots(kind, plan = latest)
    plan.slots.includes(:rehearsal, :slot_people).where(kind:)
      .sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
  end

  it "keeps minors' nights and a day of seven around what stands as told, which no window holds" do
    dancers.each { |one| one.update!(adult: false) }
    plan = told_plan
    last = studio.rehearsals.order(:date).second
    plan.slots.where(rehearsal: last).last.update!(start_minute: 1260, minutes: 30)
    hours = { "start" => "08:00", "end" => "10:00", "rooms" => studio.rooms.ids.map(&:to_s) }
    (-6..1).each do |i|
      App::Rehearsals::Actions::Add.new(studio, { "single" => (last.date + i).iso8601, **hours }).run unless i.zero?
    end
    told = plan.slots.where(rehearsal: last).first
    (-5..-1).each do |i|
      day = studio.rehearsals.where(date: last.date + i).last
      told.dup.tap { |slot| slot.update!(rehearsal: day, task_key: "learn-#{i}") && call(slot, dancers.first(1)) }
    end
    late = problem.unavailable.select { |entry| entry[:late] && entry[:date] == (last.date + 1).iso8601 }
    expect(late.map { |entry| entry.values_at(:who, :from, :to) }).to include(
      [id(dancers.second), 0, 570], [id(dancers.first), 0, 1440]
    )
    expect(late.select { |entry| entry[:to] == 1440 }.map { |entry| entry[:who] }).to eq [id(dancers.first)]
  end

  it "takes whom somebody comes and goes with into the price of an evening, and forgets it with them" do
    sign_in director
    ada, bram = dancers
    form = { "name" => ada.name, "dances" => "1", "comes_with" => bram.id.to_s,
             "lock_version" => ada.lock_version.to_s }
    send_form "/people/#{ada.id}", form
    expect(problem.price_list.siblings).to eq [[id(ada), id(bram)].sort]
    expect(text("/people/#{ada.id}")).to include "Comes and goes with"
    erase_person(bram.reload)
    expect(ada.reload.comes_with_id).to be_nil
  end

  def call(slot, people)
    people.each { |person| studio.slot_people.create!(slot:, person:, role: "dancer") }
  end

  def told_plan
    send_form plan_path, {}
    send_form "/pieces/#{piece.id}/plans/#{latest.id}/publish", { "homes" => "99" }
    latest
  end

  # A slot of a told plan, put where a spec needs it.
  def put(plan, rehearsal, kind, time, people, **more)
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
    made
  end

  def clashes(plan)
    busy =
      plan.slots.includes(:slot_people)
        .flat_map do |slot|
          slot.slot_people.map { |called| [[slot.rehearsal_id, called.person_id], slot.start_minute...slot.end_minute] }
        end
    busy.group_by(&:first).values
      .select { |own| own.map(&:last).combination(2).any? { |a, b| a.begin < b.end && b.begin < a.end } }
  end

  describe "recap and music" do
    it "open and end a rehearsal with what was new, right after the warm-up, and stand on the call sheet" do
      plan = told_plan
      music = slots("to_music").first
      recap = slots("recap").first
      lesson = slots(%w[learn]).first
      expect([music.title, music.rehearsal, music.slot_people.size]).to eq [
        "To music: Opening Walk and the opening",
        lesson.rehearsal,
        4
      ]
      expect(music.start_minute).to be >= lesson.end_minute
      expect([recap.title, recap.rehearsal.date > music.rehearsal.date]).to eq [
        "Recap: Opening Walk and the opening",
        true
      ]
      warm_up = slots("warm_up").find { |slot| slot.rehearsal_id == recap.rehearsal_id }
      work = plan.slots.select { |slot| slot.work? && slot.rehearsal_id == recap.rehearsal_id }
      expect([warm_up.end_minute, recap.end_minute <= work.map(&:start_minute).min, clashes(plan)]).to eq [
        recap.start_minute,
        true,
        []
      ]
      expect(text("/rehearsals/#{recap.rehearsal_id}/call-sheet")).to include(
        "#{Formats::Times.clock(recap.start_minute)} – #{Formats::Times.clock(recap.end_minute)} Recap: Opening " \
        "Walk and the opening"
      )
    end

    it "go along when a slot is moved to another day" do
      told_plan
      dates = studio.rehearsals.standing.order(:date).to_a
      later = slots("run").reverse.zip(dates.reverse)
      expect(later.map { |run, day| post_move(latest.slots.find_by!(task_key: run.task_key), day) }).to all be true
      opening = slots("join").find { |slot| slot.title.start_with?("The opening") }
      target = dates.find { |day| day.date > opening.rehearsal.date }
      expect(post_move(opening, target)).to be true
      plan = latest
      expect(
        [plan.published?, clashes(plan), plan.slots.where(task_key: opening.task_key).pluck(:rehearsal_id)]
      ).to eq [false, [], [target.id]]
      expect(fresh_without_music(plan)).to eq []
    end

    # New material of a rehearsal that neither its music nor a chain or run after it holds.
    def fresh_without_music(plan)
      links = Records::Mapping::Works.load(piece).order.links
      plan.slots.group_by(&:rehearsal_id).values.flat_map do |here|
        music = here.select { |slot| slot.kind == "to_music" }.map(&:title).join
        fresh = here.select { |slot| %w[learn join difference].include?(slot.kind) }
        fresh
          .reject { |slot| music.include?(material(slot, links)) || here.any? { |each| held?(slot, each) } }
          .map(&:title)
      end
    end

    def material(slot, links)
      return slot.title[/\AThe (opening|ending)/].downcase if slot.title.start_with?("The ")

      [slot.from_link, slot.to_link].uniq.map { |at| links[at - 1].name }.join(" into ")
    end

    def held?(slot, later)
      %w[chain run].include?(later.kind) && later.start_minute >= slot.end_minute &&
        later.from_link <= slot.from_link && later.to_link >= slot.to_link
    end

    def post_move(slot, rehearsal)
      send_json "/pieces/#{piece.id}/slots/#{slot.id}/move", { rehearsal: rehearsal.id }
      last_response.status == 200
    end

    it "recap what the last rehearsal behind us taught, for those who were there" do
      plan = piece.plans.create!(studio:, number: 1, published_at: NOW)
      past = studio.rehearsals.create!(date: "2027-01-26", start_minute: 1080, end_minute: 1200)
      put(
        plan,
        past,
        "learn",
        1095..1125,
        dancers.zip,
        section_ids: [piece.sections.first.id],
        from_link: 1,
        to_link: 1
      )
      past.rehearsal_rooms.create!(studio:, room: studio.rooms.first)
      past.attendances.create!(studio:, person: dancers.last, present: false, by_name: "x")
      expect(problem.lately.map { |each| [each.id, each.dancers, each.links] }).to eq [
        ["learn", dancers.first(2).map { |dancer| id(dancer) }, [1]]
      ]
      send_form plan_path, {}
      first = slots("recap").first
      danced = first.slot_people.where(role: "dancer").pluck(:person_id).sort
      expect([first.title, danced]).to eq [
        "Recap: Opening Walk",
        dancers.first(2).map(&:id).sort
      ]
    end

    it "are left out where the studio wants none, and said where there is no time" do
      figures = {
        "name" => studio.name,
        "time_zone" => studio.time_zone,
        **%w[warm_up cool_down max_continuous rest daily_minutes new_eights].to_h do |name|
          [name, studio.setting(name).to_s]
        end
      }
      send_form "/settings", figures.merge("recap" => "7")
      expect(last_response.body).to include "a whole number of minutes from 0 to 20, in steps of five"
      send_form "/settings", figures.merge("recap" => "0", "to_music" => "0", "re_warm" => "10")
      expect([studio.reload.setting("recap"), studio.setting("re_warm")]).to eq [0, 10]
      told_plan
      expect(slots(%w[recap to_music])).to be_empty
      latest.update!(
        result: latest.result.merge("without" => [%w[recap 2027-02-09], %w[recap 2027-02-16], %w[to_music 2027-02-09]])
      )
      expect(text(plan_path)).to include(
        "2 rehearsals have no time for a recap: Tue 9 Feb, Tue 16 Feb.",
        "One rehearsal has no time to dance the new material to music: Tue 9 Feb."
      )
    end
  end

  describe "warming up again" do
    let(:plan) { piece.plans.create!(studio:, number: 1, published_at: NOW) }
    let(:rehearsal) { studio.rehearsals.standing.first }

    it "is a slot for whoever was idle for twenty minutes, in a room that is free" do
      hall = studio.rooms.first
      put(plan, rehearsal, "learn", 1095..1115, [[dancers[0]], [dancers[1]]], room: hall)
      put(plan, rehearsal, "learn", 1115..1135, [[dancers[1]]], room: hall)
      put(plan, rehearsal, "run", 1140..1160, dancers.zip, room: hall)
      App::Planning::Actions::WarmUps.new(plan, season).redo([rehearsal.id])
      again = slots("re_warm", plan)
      expect(
        again.map do |slot|
          called = slot.slot_people.reject { |each| each.role == "adult" }
          [slot.start_minute, slot.minutes, slot.room, called.map(&:person_id)]
        end
      ).to eq [[1135, 5, hall, [dancers[0].id]]]
      expect(text("/rehearsals/#{rehearsal.id}/call-sheet")).to include("18:55 – 19:00 Warm up again Ada Test")
      App::Planning::Actions::WarmUps.new(plan, season).redo([rehearsal.id])
      expect([slots("re_warm", plan).size, slots("warm_up", plan).size]).to eq [1, 2]
    end

    it "is not needed by somebody whom another piece keeps warm, whose work tires them all the same" do
      other = make_piece(studio, director, title: "Other Piece")
      told = other.plans.create!(studio:, number: 1, published_at: NOW)
      put(told, rehearsal, "learn", 1115..1135, [[dancers[0]]], room: studio.rooms.first)
      put(told, rehearsal, "warm_up", 1080..1095, [[dancers[0]]])
      put(plan, rehearsal, "learn", 1095..1115, [[dancers[0]]])
      put(plan, rehearsal, "run", 1140..1160, [[dancers[0]]])
      App::Planning::Actions::WarmUps.new(plan, season).redo([rehearsal.id])
      expect(slots("re_warm", plan)).to be_empty
      work = problem.unavailable.select { |away| away[:who] == id(dancers[0]) }
      hours = work.map { |away| away.values_at(:from, :to, :work) }
      expect(hours).to contain_exactly([1115, 1135, true], [1080, 1095, nil])
    end
  end

  it "gives whoever comes late their warm-up, and whoever leaves early their cool-down" do
    ada, bram, cleo = dancers
    teacher = studio.people.find_by!(name: "Mirela")
    {
      ada => [nil, 1110],
      bram => [1110, 1140],
      cleo => [1170, nil],
      teacher => [nil, 1110]
    }.each do |person, (from_minute, to_minute)|
      person.absences.create!(studio:, from_date: "2027-02-02", to_date: "2027-02-02", from_minute:, to_minute:)
    end
    away = problem.unavailable.to_h { |entry| [entry[:who], entry.values_at(:from, :to)] }
    expect(away).to eq(
      id(ada) => [0, 1125],
      id(bram) => [1110, 1145],
      id(cleo) => [1165, 1440],
      id(teacher) => [nil, 1110]
    )
  end

  it "counts warm-up and cool-down towards a minor's day, and lets nobody talk them out of their hours" do
    studio.update!(settings: { "latest_finish" => 1140, "daily_minutes" => 60 })
    asked = problem
    expect([asked.frame_minutes, asked.limits.size, asked.rewarm]).to eq [20, 3, [20, 5]]
    expect(asked.freed(id(dancers[0])).unavailable).to eq asked.unavailable
    expect(asked.unavailable.map { |away| away.values_at(:from, :late) }.uniq).to eq [[1135, true]]
  end

  it "dances again what would be rusty before the plan comes back to it, or says that it will be" do
    walk = piece.sections.first
    App::Learning::Actions::RecordTicks.new(
      piece,
      director,
      { "cells" => dancers.map { |dancer| "#{dancer.id}:s#{walk.id}" }, "rung" => 3 },
      Date.new(2027, 2, 1)
    ).run
    long = piece.sections.last
    long.update!(minutes: 400)
    piece.touch
    send_form plan_path, {}
    review = slots("review").first
    expect([review.title, review.task_key, review.rehearsal.date.iso8601, clashes(latest)]).to eq [
      "Dance Opening Walk again",
      "review-s#{walk.id}-w#{review.rehearsal_id}",
      "2027-02-09",
      []
    ]
    expect(review.slot_people.map(&:person_id)).to include(*dancers.map(&:id))
    latest.update!(result: latest.result.merge("fading" => [%w[Smoke 2027-02-20 2027-03-02]]))
    expect(text(plan_path)).to include "Smoke would be rusty from Sat 20 Feb; nothing dances it before Tue 2 Mar."
  end

  describe "how far a section was taught" do
    it "is kept with the register, refused where it cannot be, and where the next lesson begins" do
      told_plan
      lesson = slots("learn").first
      lesson.rehearsal.update!(date: "2027-02-01")
      walk = piece.sections.first
      path = "/rehearsals/#{lesson.rehearsal_id}/register"
      send_form path, { "here" => dancers.map { |dancer| dancer.id.to_s }, "taught" => { lesson.id.to_s => "9" } }
      expect([last_response.body, walk.teachings.count]).to match(
        [a_string_including("Opening Walk has 4 eights: say how many of them were taught"), 0]
      )
      2.times do
        send_form path, { "here" => dancers.map { |dancer| dancer.id.to_s }, "taught" => { lesson.id.to_s => "2" } }
      end
      expect([walk.teachings.pluck(:eights), walk.teachings.first.day.iso8601]).to eq [[2], "2027-02-01"]
      expect(text("/pieces/#{piece.id}/sections/#{walk.id}")).to include("Taught as far as eight 2 of 4, Mon 1 Feb")
      send_form plan_path, {}
      expect(slots("learn").map(&:title)).to include("Learn Opening Walk, eights 2 – 4")
    end

    it "cannot be changed afterwards, only said anew" do
      first =
        piece.sections.first.teachings.create!(studio:, eights: 3, day: "2027-02-01", by_name: "x", created_at: NOW)
      piece.sections.first.teachings.create!(studio:, eights: 1, day: "2027-02-02", by_name: "x", created_at: NOW)
      draft = App::Reading::PlanDraft.new(piece.reload, now)
      expect([draft.tasks.find { |each| each.kind == "learn" }.from_eight, first.reload.eights]).to eq [1, 3]
    end
  end

  it "opens a section's minutes, with layers taught one after the other and what is still being made" do
    walk = piece.sections.first
    form = {
      "lock_version" => walk.lock_version.to_s,
      "name" => walk.name,
      "length" => "4",
      "fidelity" => "set",
      "method_preset" => "drill",
      "difficulty" => "1",
      "choreographer" => walk.choreographer_id.to_s
    }
    path = "/pieces/#{piece.id}/sections/#{walk.id}"
    expect(text(path)).to match(/Minutes to teach 15 /)
    send_form path, form.merge("layer_school" => "feet_first", "being_made" => "yes")
    expect([walk.reload.layer_school, walk.being_made]).to eq ["feet_first", true]
    expect(text(path)).to include(
      "Minutes to teach 30",
      "feet first, then arms: 1.32 ×",
      "made with the dancers: 1.5 ×"
    )
    expect(App::Reading::PlanDraft.new(piece.reload, now).tasks.first.then { |each| [each.kind, each.minutes] }).to eq [
      "make",
      30
    ]
  end

  it "goes ahead with the share of dancers the director finds enough" do
    wish = lambda do |quorum|
      was = App::Planning::WishesForm.of(piece.reload).was
      send_form "#{plan_path}/wishes", { "was" => was, "quorum" => quorum }
    end
    wish["60"]
    expect(piece.reload.setting("quorum")).to eq 0.6
    wish["30"]
    expect([piece.reload.setting("quorum"), last_response.body]).to match(
      [0.6, a_string_including("50 to 100 % of the dancers")]
    )
    dancers.last.absences.create!(studio:, from_date: "2027-02-01", to_date: "2027-03-05")
    expect(App::Reading::PlanDraft.new(piece, now).tasks.find { |each| each.kind == "learn" }.dancers.size).to eq 2
  end

  describe "an adult in the room" do
    let(:odalys) { studio.people.find_by!(name: "Odalys") }

    def with_minors = planned.slots.select { |slot| slot.slot_people.any? { |each| !each.person.adult } }
    def adults(slot) = slot.slot_people.map(&:person).select(&:adult).map(&:name)

    def planned
      send_form plan_path, {}
      piece.reload.latest_plan.tap { |plan| plan.slots.reset }
    end

    before { dancers.each { |dancer| dancer.update!(adult: false) } }

    it "is named for every slot with minors, warming up and cooling down too, and told when to be there" do
      slots = with_minors
      expect(slots.map(&:kind)).to include("warm_up", "cool_down", "learn")
      expect(slots.select { |slot| adults(slot).empty? }.map(&:title)).to eq []
      send_form "/pieces/#{piece.id}/plans/#{piece.latest_plan.id}/publish", { "homes" => "99" }
      warm_up = slots.select { |slot| slot.kind == "warm_up" }.min_by { |slot| slot.rehearsal.date }
      sheet = text("/rehearsals/#{warm_up.rehearsal_id}/call-sheet")
      expect(sheet).to include adults(warm_up).first
      expect(sheet).not_to include "No adult is named"
    end

    it "is asked for again where whoever was named is away by now" do
      warm_up = with_minors.select { |slot| slot.kind == "warm_up" }.min_by { |slot| slot.rehearsal.date }
      day = warm_up.rehearsal.date
      expect(text(plan_path)).not_to include "with no adult named"
      studio.people.where(teaches: true).find_each do |person|
        person.absences.create!(studio:, from_date: day, to_date: day)
      end
      send_form "/pieces/#{piece.id}/plans/#{piece.latest_plan.id}/publish", { "homes" => "99" }
      expect(text(plan_path)).to include "minors are in a room with no adult named"
      expect(text("/rehearsals/#{warm_up.rehearsal_id}/call-sheet")).to include "No adult is named"
    end

    it "is asked for where nobody can be" do
      studio.people.where(teaches: true).update_all(adult: false)
      planned
      expect(text(plan_path)).to include "minors are in a room with no adult named"
    end
  end
end
