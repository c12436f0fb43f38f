# frozen_string_literal: true

require "support/home_requests"
require "support/season_requests"

require_relative "filled_forms"

# For every route that changes something: one request that it takes. Used with RouteWorld.
module ValidRequests
  include FilledForms

  PASSWORD = "another long password"

  # What a form of this route sends, filled in as somebody would.
  def valid(rule)
    instance_exec(&FORMS.fetch(rule.path))
  end

  # A form that several people may open remembers how it was opened.
  def remembering(rule, path, values)
    return values unless rule.shape.fields.key?(:was) && remembers?(path)

    was = rule.path.end_with?("/wishes") ? App::Planning::WishesForm.of(piece.reload).was : opened(path)
    { "was" => was, **values }
  end

  def section = piece.reload.sections.first
  def stranger_row = studio.people.find_or_create_by!(name: "Some One")
  def other_teacher = studio.people.find_or_create_by!(name: "Mirela") { |person| person.teaches = true }
  def slots_now = piece.latest_plan.slots.order(:id)

  # Something that a join asks: what a word does.
  def question
    section.eights.last.update!(text: "1-8 weathervane")
    piece.touch
    App::Reading::PieceSnapshots.clear
    App::Reading::OpenQuestions.new(piece, App::Reading::PieceSnapshots.of(piece)).waiting.first
  end

  # A tick at a rung that counts, not signed off.
  def make_learned
    cells = ["#{dancer.id}:s#{section.id}"]
    sent = { "cells" => cells, "rung" => 4 }
    App::Learning::Actions::RecordTicks.new(piece, members["director"], sent, NOW.to_date).run
  end

  def eights = section.eights.to_h { |eight| [eight.position.to_s, { "counts" => "8", "text" => "1 step R" }] }

  FORMS = {
    "/onsets" => -> { { "onsets" => Array.new(1200) { |i| (i % 50).zero? ? 1 : 0 } } },
    "/sign-in" => -> { { "email" => members["director"].account.email, "password" => Studios::PASSWORD } },
    "/demo/enter" => -> { { "account" => demo_account.id.to_s } },
    "/sign-out" => -> { {} },
    "/sign-out-everywhere" => -> { {} },
    "/signed-in/:id/end" => -> { {} },
    "/forgot" => -> { { "email" => members["director"].account.email } },
    "/reset/:token" => -> { { "password" => PASSWORD } },
    "/invitation/:token" => -> { { "name" => "New", "password" => PASSWORD } },
    "/begin" => lambda do
      {
        "studio" => "New Studio",
        "time_zone" => "Europe/London",
        "email" => "begin@example.org",
        "name" => "B",
        "password" => PASSWORD
      }
    end,
    "/studios/:id/enter" => -> { {} },
    "/settings" => -> { settings_form },
    "/leave" => -> { {} },
    "/invitations" => -> { { "email" => "invited@example.org", "role" => "assistant" } },
    "/invitations/:id/withdraw" => -> { {} },
    "/memberships/:id" => -> { { "role" => "choreographer" } },
    "/people" => -> { person_form("Ines New") },
    "/people/:id" => -> { person_form("Ada Changed", dancer.reload) },
    "/people/:id/absences" => -> { { "from_date" => "2027-02-16", "to_date" => "2027-02-16" } },
    "/people/:id/absences/:absence/delete" => -> { {} },
    "/people/:id/visits" => -> { { "dates" => "2027-02-16\n2027-02-23" } },
    "/ages" => -> { { "band" => "12_15" } },
    "/sample" => -> { { "to" => "yes" } },
    "/way" => -> { { "to" => "no" } },
    "/links" => -> { {} },
    "/people/:id/link" => -> { {} },
    "/people/:id/link/revoke" => -> { {} },
    "/people/:id/archive" => -> { { "to" => "yes" } },
    "/roster/preview" => -> { { "piece" => piece.id.to_s, "text" => "Noor New, Wings" } },
    "/roster" => -> { { "piece" => piece.id.to_s, "text" => "Noor New, Wings" } },
    "/rehearsals" => lambda do
      { "start" => "18:00", "end" => "20:00", "single" => "2027-02-27", "rooms" => [studio.rooms.first.id.to_s] }
    end,
    "/rehearsals/:id/cancel" => -> { { "to" => "yes" } },
    "/rooms/:id/way-in" => -> { { "steps" => "free" } },
    "/rooms" => -> { { "room" => "Loft", "capacity" => "12" } },
    "/rooms/:id/archive" => -> { { "to" => "yes" } },
    "/pieces/preview" => -> { piece_form },
    "/pieces" => -> { piece_form },
    "/pieces/:piece/archive" => -> { { "to" => "yes" } },
    "/pieces/:piece/copy" => -> { { "title" => "Next Winter", "show_date" => "2028-03-04" } },
    "/pieces/:piece/music" => -> { music_form },
    "/pieces/:piece/music/cut" => -> { music_form },
    "/taps" => -> { { taps: (0..9).map { |i| i * 500 } } },
    "/pieces/:piece/links/:id/changes" => lambda do
      { "lock_version" => piece.lock_version.to_s, "rows" => { "1" => { "text" => "1 step L", "counts" => "8" } } }
    end,
    "/pieces/:piece/sections/:id/versions/:kind" => lambda do
      { "lock_version" => "0", "note" => "on a chair", "rows" => { "1" => { "text" => "1 clap" } } }
    end,
    "/pieces/:piece/steps/preview" => -> { { "section" => section.id.to_s, "rows" => eights } },
    "/pieces/:piece/sections/:id/steps" => -> { { "lock_version" => section.lock_version.to_s, "rows" => eights } },
    "/pieces/:piece/joins/:index/mend" => lambda do
      { "lock_version" => piece.lock_version.to_s, "state" => "weight", "n" => "0" }
    end,
    "/pieces/:piece/joins/:index/agree" => -> { { "words" => "left foot free" } },
    "/pieces/:piece/joins/:index/owner" => -> { { "owner" => other_teacher.id.to_s, "note" => "in canon" } },
    "/pieces/:piece/joins/checking" => -> { { "facing" => "1", "level" => "1", "steady" => "1" } },
    "/pieces/:piece/settle" => -> { { "question" => question.key, "answer" => "left" } },
    "/pieces/:piece/words/:id/forget" => -> { {} },
    "/pieces/:piece/ends/:which" => -> { { "pose" => "low, back to back", "weight" => "left" } },
    "/pieces/:piece/sections/:id/parts" => lambda do
      {
        "lock_version" => section.lock_version.to_s,
        "parts" => { piece.groups.first.id.to_s => { "in" => "1", "offset" => "8" } }
      }
    end,
    "/pieces/:piece/links/:id/formation" => lambda do
      { moment: "entry", version: formation.lock_version, spots: [{ p: dancer.id, x: 1.5, y: 3, f: 1, pin: false }] }
    end,
    "/pieces/:piece/links/:id/formation/remove" => -> { moment },
    "/pieces/:piece/links/:id/formation/pattern" => lambda do
      { **moment, "pattern" => "lines", "facing" => "1", "spacing" => "1.2", "per_line" => "2", "x" => "0", "y" => "3" }
    end,
    "/pieces/:piece/links/:id/formation/assign" => -> { moment },
    "/pieces/:piece/floor" => -> { { "width" => "11", "depth" => "9" } },
    "/pieces/:piece/structure" => lambda do
      { "lock_version" => piece.lock_version.to_s, "structure" => "#{Studios::LINES}\nGate, 2 eights" }
    end,
    "/pieces/:piece/revisions/:number/restore" => -> { {} },
    "/pieces/:piece/links" => -> { { "section" => section.id.to_s } },
    "/pieces/:piece/links/:id/:step" => -> { {} },
    "/pieces/:piece/sections/:id" => -> { section_form },
    "/pieces/:piece/sections/:id/up-to" => -> { { "group" => piece.groups.first.id.to_s, "eights" => "2" } },
    "/pieces/:piece/sections/:id/corrections" => -> { { "text" => "look up", "eight" => "1", "count" => "3" } },
    "/pieces/:piece/corrections/:id/settle" => -> { { "to" => "yes" } },
    "/pieces/:piece/sharing" => -> { { "taught" => { section.id.to_s => other_teacher.id.to_s } } },
    "/pieces/:piece/names" => -> { { "name" => "swoosh", "like" => "turn", "counts" => "2" } },
    "/pieces/:piece/names/:id/accept" => lambda do
      studio.own_steps.update_all(proposed_at: NOW)
      {}
    end,
    "/pieces/:piece/names/:id/delete" => -> { {} },
    "/pieces/:piece/groups" => -> { { "name" => "Wings" } },
    "/pieces/:piece/cast" => lambda do
      { "groups" => [piece.groups.first.id.to_s], "cast" => { stranger_row.id.to_s => ["", "in"] } }
    end,
    "/pieces/:piece/groups/roster" => -> { {} },
    "/pieces/:piece/groups/:id" => -> { { "name" => "Renamed", "leader" => dancer.id.to_s } },
    "/my/:token/reports" => lambda do
      studio.update!(settings: { "self_reports" => true })
      { "piece" => piece.id.to_s, "item" => "s#{section.id}", "rung" => "4" }
    end,
    "/pieces/:piece/who-has-it/ready" => -> { { "kind" => "full_out", "reason" => "the hall is booked" } },
    "/pieces/:piece/who-has-it/sign-offs" => lambda do
      make_learned
      { "item" => "s#{section.id}", "people" => [dancer.id.to_s], "answer" => "yes" }
    end,
    "/pieces/:piece/understudies" => lambda do
      { "person" => studio.people.dancers.last.id.to_s, "covers" => dancer.id.to_s }
    end,
    "/pieces/:piece/understudies/:id/end" => -> { {} },
    "/pieces/:piece/handovers" => lambda do
      { "person" => teacher.id.to_s, "member" => members["assistant"].id.to_s, "until" => "2027-02-20" }
    end,
    "/pieces/:piece/handovers/:id/end" => -> { {} },
    "/pieces/:piece/ticks" => -> { { "person" => dancer.id.to_s, "item" => "s#{section.id}", "rung" => "4" } },
    "/pieces/:piece/ticks/:id/undo" => -> { {} },
    "/pieces/:piece/plan" => -> { {} },
    "/pieces/:piece/plan/wishes" => -> { wishes },
    "/pieces/:piece/plans/:id/publish" => -> { {} },
    "/pieces/:piece/plan/what-if" => -> { { "change" => "passes", "passes" => "fewer" } },
    "/pieces/:piece/plan/again" => -> { {} },
    "/pieces/:piece/plan/schools" => -> { {} },
    "/pieces/:piece/plan/offers/:id/stop" => -> { piece.plan_offers.last.update!(state: "running") && {} },
    "/pieces/:piece/plan/offers/:id/keep" => -> { piece.plan_offers.last.update!(kind: "better") && {} },
    "/pieces/:piece/plan/offers/:id/take" => -> { { "way" => piece.plan_offers.last.plans.keys.first } },
    "/pieces/:piece/plans/:id/stop" => -> { piece.plans.last.update!(search: { "state" => "running" }) && {} },
    "/pieces/:piece/slots/:id/move" => -> { { rehearsal: movable.last.id } },
    "/pieces/:piece/slots/:id/pin" => -> { { "to" => "yes" } },
    "/rehearsals/:id/register" => -> { in_room },
    "/rehearsals/:id/afterwards" => -> { in_room },
    "/rehearsals/:id/entries" => lambda do
      said = { "client" => "0123456789ab", "kind" => "here", "state" => "present", "minute" => "1085" }
      { "entries" => [said.merge("person" => dancer.id.to_s)] }
    end,
    "/pieces/:piece/track" => -> { { "file" => Rack::Test::UploadedFile.new(a_sound, "audio/wav") } },
    "/pieces/:piece/track/:id/remove" => -> { {} }
  }.merge(HomeRequests::FORMS, SeasonRequests::FORMS).freeze

  def demo_account
    demo = Records::Studio.find_or_create_by!(name: "Made up", demo: true)
    (demo.memberships.first || make_member(demo, "assistant")).account
  end
end
