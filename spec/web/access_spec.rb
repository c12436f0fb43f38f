# frozen_string_literal: true

require "web_helper"
require "support/route_world"

# Every route × every role × both studios: who is named comes in, nobody else does, nothing of another studio is seen.
RSpec.describe "who may use which route", :web do
  include RouteWorld

  let(:stranger) { make_member(make_studio, "director", name: "Stranger") }

  def try(rule, path)
    Records::Base.transaction(requires_new: true) do
      if rule.verb == :get
        get(path)
      else
        send_form(
          path,
          {
            "section" => piece.sections.first.id,
            "way" => "repair",
            "change" => "passes",
            "passes" => "fewer",
            "rehearsal" => studio.rehearsals.last.id
          }
        )
      end
      raise ActiveRecord::Rollback
    end
    forget
    last_response.status
  end

  # What was read of what is taken back stands under numbers that the next request takes again.
  def forget = [App::Reading::PieceSnapshots, App::Reading::SeasonSnapshots].each(&:clear)

  def allowed?(rule, role) = rule.roles.intersect?([:anyone, :account, :member, role.to_sym])

  def let_in?(code, path)
    [200, 302, 303, 400, 409, 422].include?(code) || (path.end_with?(".eml", ".zip") && code == 404)
  end

  def rules
    App::Web::Access::RULES.reject do |rule|
      [[:anyone], [:program]].include?(rule.roles) || rule.path.include?("sign-out") || rule.path == "/leave"
    end
  end

  # A choreographer may open the form of every section but save only their own.
  def own_only?(rule, role)
    role == "choreographer" && rule.verb == :post &&
      (rule.path.include?("/sections/") || rule.path.end_with?("/changes", "/mend") || rule.path.include?("/formation"))
  end

  it "is kept to, route by route, for every role" do
    wrong = members.flat_map do |role, member|
      sign_in member
      rules.reject { |rule| rule.roles == [:bearer] || own_only?(rule, role) }.filter_map do |rule|
        path = concrete(rule)
        code = try(rule, path)
        # one's own only, whatever the role (ended_access_spec, archive_spec)
        next if rule.path.start_with?("/signed-in/:id", "/studios/archive/:id")

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
      unless last_response.headers["location"].to_s.end_with?("/sign-in")
        "#{rule.verb} #{rule.path}: #{last_response.status}"
      end
    end
    expect(wrong).to be_empty
    get "/my/#{ids['token']}x"
    expect(last_response.status).to eq 404
  end

  # Whether a path names a row; one that names only a list, its kind or a picture is about whoever asks.
  def about_a_row?(rule) = (rule.names - %w[table ending picture]).any?

  it "shows a director of another studio nothing of this one" do
    paths = rules.map { |rule| [rule, concrete(rule)] }
    sign_in stranger
    wrong = paths.reject { |rule, _| rule.roles == [:bearer] }.filter_map do |rule, path|
      code = try(rule, path)
      found = ["Winter Piece", dancer.name].any? { |name| last_response.body.b.include?(name.b) }
      leaked = about_a_row?(rule) ? ![403, 404].include?(code) : found
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
    expect { App::Web::Application.get("/open") { "oops" } }.to raise_error(ArgumentError, /must say who may use it/)
    expect(App::Web::Access::RULES.flat_map(&:roles).uniq - App::Web::Access::KNOWN).to be_empty
  end
end
