# frozen_string_literal: true

require "web_helper"

# Every route × every role × both studios: who is named comes in, nobody else does, nothing of another studio is seen.
RSpec.describe "who may use which route", :web do
  let(:studio) { make_studio }
  let(:members) { %w[director choreographer assistant].to_h { |role| [role, make_member(studio, role, person: (teacher if role == "choreographer"))] } }
  let!(:teacher) { studio.people.create!(name: "Odalys", teaches: true, dances: false, tape: 1) }
  let(:stranger) { make_member(make_studio, "director", name: "Stranger") }
  let!(:piece) { make_piece(studio, make_member(studio, "director", name: "Maker")) }
  let(:dancer) { make_cast(piece).first }

  # A concrete path of the studio for each pattern.
  def path_for(pattern)
    start = pattern[%r{\A/\w+}]
    pattern.gsub(/:(\w+)/) { |name| (ids["#{start}#{name}"] || ids.fetch(name.delete_prefix(":"))).to_s }
  end

  def ids
    @ids ||= begin
      make_season(studio)
      clash
      plan = App::Actions::MakePlan.new(piece, piece.revisions.first.account, studio.local(NOW)).run
      absence = dancer.absences.create!(studio:, from_date: "2027-02-10", to_date: "2027-02-10")
      entry = tick
      base = { "piece" => piece.id, "token" => dancer_token, "number" => 1, "step" => "later", "kind" => "seated", "index" => 1, "which" => "opening", "absence" => absence.id, "/people:id" => dancer.id,
               "/rehearsals:id" => studio.rehearsals.first.id, "/rooms:id" => studio.rooms.first.id, "/memberships:id" => members["assistant"].id, "/studios:id" => studio.id,
               "/outbox:id" => studio.mails.create!(recipient: "a@example.org", subject: "s", body: "b").id, "plan" => plan.id }
      base.merge("entry" => entry.id, "slot" => plan.slots.find(&:work?).id, "link" => piece.links.first.id, "section" => piece.sections.first.id, "group" => piece.groups.first.id,
                 "correction" => piece.sections.first.corrections.create!(studio:, text: "soft knees", by_name: "M").id,
                 "word" => studio.own_steps.create!(name: "wiggle", like: "hip").id)
    end
  end

  # A join that does not fit, so that there is something to mend.
  def clash
    piece.sections.first.eights.last.update!(text: "8 step R")
    piece.sections.second.eights.first.update!(text: "1 step R")
    piece.touch
  end

  def tick
    App::Actions::RecordTicks.new(piece, members["director"].account, { "cells" => ["#{dancer.id}:s#{piece.sections.first.id}"], "rung" => 3 }, Date.new(2027, 2, 2)).run
    piece.ledger_entries.last
  end

  def dancer_token = dancer.person_links.issue(studio_id: studio.id).last

  def concrete(rule)
    under = { "ticks" => "entry", "links" => "link", "sections" => "section", "groups" => "group", "plans" => "plan", "names" => "word", "slots" => "slot",
              "corrections" => "correction" }[rule.path[%r{\A/pieces/:piece/(\w+)/:id}, 1]]
    path = path_for(under ? rule.path.sub(":id", ":#{under}") : rule.path)
    return "#{path}?state=weight&n=0" if rule.path.end_with?("/mend")

    rule.path.end_with?("/cell") ? "#{path}?person=#{dancer.id}&item=s#{piece.sections.first.id}" : path
  end

  def try(rule, path)
    Records::Base.transaction(requires_new: true) do
      rule.verb == :get ? get(path) : send_form(path, { "section" => piece.sections.first.id, "way" => "repair", "change" => "passes", "passes" => "fewer", "rehearsal" => studio.rehearsals.last.id })
      raise ActiveRecord::Rollback
    end
    last_response.status
  end

  def allowed?(rule, role) = rule.roles.intersect?([:anyone, :account, :member, role.to_sym])
  def let_in?(code, path) = [200, 302, 303, 400, 409, 422].include?(code) || (path.end_with?(".eml") && code == 404)
  def rules = App::Access::RULES.reject { |rule| rule.roles == [:anyone] || rule.path.include?("sign-out") || rule.path == "/leave" }

  # A choreographer may open the form of every section but save only their own.
  def own_only?(rule, role) = role == "choreographer" && rule.verb == :post && (rule.path.include?("/sections/") || rule.path.end_with?("/changes", "/mend") || rule.path.include?("/formation"))

  it "is kept to, route by route, for every role" do
    wrong = members.flat_map do |role, member|
      sign_in member
      rules.reject { |rule| rule.roles == [:bearer] || own_only?(rule, role) }.filter_map do |rule|
        path = concrete(rule)
        code = try(rule, path)
        right = allowed?(rule, role) ? let_in?(code, path) : code == 403
        "#{role} got #{code} from #{rule.verb} #{path}" unless right
      end
    end
    expect(wrong).to be_empty
  end

  it "sends nobody further than the sign-in page" do
    wrong = rules.reject { |rule| rule.roles == [:bearer] }.filter_map do |rule|
      clear_cookies
      try(rule, concrete(rule))
      "#{rule.verb} #{rule.path}: #{last_response.status}" unless last_response.headers["location"].to_s.end_with?("/sign-in")
    end
    expect(wrong).to be_empty
    get "/my/#{ids['token']}x"
    expect(last_response.status).to eq 404
  end

  it "shows a director of another studio nothing of this one" do
    paths = rules.map { |rule| [rule, concrete(rule)] }
    sign_in stranger
    wrong = paths.reject { |rule, _| rule.roles == [:bearer] }.filter_map do |rule, path|
      code = try(rule, path)
      leaked = rule.path.include?("/:") ? ![403, 404].include?(code) : last_response.body.include?("Winter Piece")
      "#{rule.verb} #{path}: #{code}" if leaked
    end
    expect(wrong).to be_empty
  end

  it "lets a choreographer save their own section and no other" do
    own = piece.sections.find_by(choreographer: teacher)
    other = piece.sections.where.not(id: own.id).first
    sign_in members["choreographer"]
    codes = [own, other].map do |section|
      send_form "/pieces/#{piece.id}/sections/#{section.id}", { "lock_version" => section.lock_version }
      last_response.status
    end
    expect(codes).to eq [422, 403]
  end

  it "refuses a route that names nobody" do
    expect { App::Web.get("/open") { "oops" } }.to raise_error(ArgumentError, /must say who may use it/)
    expect(App::Access::RULES.flat_map(&:roles).uniq - App::Access::KNOWN).to be_empty
  end
end
