# frozen_string_literal: true

require "web_helper"
require "json_schemer"

# What other programs read: what the description promises, a page at a time, by a token that lives, of one studio only.
RSpec.describe "other programs", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo]) }
  let(:given) { studio.program_tokens.issue(name: "board", by_name: "M").last }
  let(:description) { JSON.parse(File.read(File.join(HOUSE, "docs", "formats", "openapi.json"))) }

  def ask(path, with: given, **headers)
    clear_cookies
    get path, {}, { "HTTP_AUTHORIZATION" => "Bearer #{with}", **headers }
    JSON.parse(last_response.body) if last_response.body.start_with?("{")
  end

  def furnish
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
    sent = { "cells" => ["#{dancers.first.id}:s#{piece.sections.first.id}"], "rung" => 3 }
    App::Learning::Actions::RecordTicks.new(piece, director, sent, NOW.to_date).run
    first = studio.rehearsals.order(:date).first
    studio.attendances.create!(rehearsal: first, person: dancers.first, present: true, state: "late", minute: 1090,
                               by_name: "M")
    row = App::Shared::NoteRow.of(piece, director.account)
    piece.notes.create!(**row, kind: "fix", about: "piece", text: "breathe")
    piece.notes.create!(**row, client_id: "x", kind: "fix", about: "person", person: dancers.first,
                               text: "only for Ada")
    App::Joins::Actions::Agree.new(piece, App::Reading::PieceSnapshots.of(piece).standings.first, { "words" => "on 8" },
                                   director.account, NOW.to_date).run
  end

  def rules = App::Web::Access::RULES.select { |rule| rule.roles == [:program] }
  def concrete(path) = path.sub("{piece}", piece.id.to_s)

  # A schema of the description, with those it refers to.
  def schemer(path)
    own = description.dig("paths", path, "get", "responses", "200", "content", "application/json", "schema")
    JSONSchemer.schema({ **own, "components" => description["components"] })
  end

  it "are answered as the description says, at every address it names and no other" do
    furnish
    expect(description["paths"].keys).to match_array(rules.map { |rule| rule.path.gsub(/:(\w+)/, '{\1}') })
    description["paths"].each_key do |path|
      answer = ask(concrete(path))
      expect(last_response.status).to eq(200), path
      expect(schemer(path).validate(answer).map { |fault| "#{path} #{fault['error']}" }).to be_empty
      expect(answer["items"]).not_to be_empty if answer.key?("items")
    end
    expect(ask("/api/1/pieces/#{piece.id}/notes")["items"].map { |note| note["text"] }).to eq ["breathe"]
    expect(ask("/api/1/attendance")["items"].first).to include("state" => "late", "time" => "18:10")
  end

  it "read a page at a time, and are told where the others are" do
    names = %w[1 2 3].map do |page|
      answer = ask("/api/1/people?per=2&page=#{page}")
      expect(answer.values_at("pages",
                              "total")).to eq [(studio.people.present.count / 2.0).ceil, studio.people.present.count]
      answer["items"].map { |person| person["name"] }
    end
    expect(names.flatten).to match_array studio.people.present.pluck(:name)
    ask("/api/1/people?per=2&page=1")
    expect(last_response.headers["link"]).to match(%r{<http.*/api/1/people\?page=2&per=2>; rel="next"\z})
    ["page=0", "page=-1", "page=x", "per=99999", "page=99999999999", "page[]=1"].each do |odd|
      ask("/api/1/people?#{odd}")
      expect(last_response.status).to eq(200).or eq(422)
    end
  end

  it "are told in one line that nothing changed, until something does" do
    path = "/api/1/pieces/#{piece.id}/learning"
    ask(path)
    etag = last_response.headers["etag"]
    ask(path, "HTTP_IF_NONE_MATCH" => etag)
    expect([last_response.status, last_response.body]).to eq [304, ""]
    sent = { "cells" => ["#{dancers.first.id}:s#{piece.sections.first.id}"], "rung" => 3 }
    App::Learning::Actions::RecordTicks.new(piece, director, sent, NOW.to_date).run
    ask(path, "HTTP_IF_NONE_MATCH" => etag)
    expect(last_response.status).to eq 200
  end

  it "have nothing without a token, of another studio, or after it was taken back, and change nothing" do
    rules.each do |rule|
      path = concrete(rule.path.sub(":piece", "{piece}"))
      get path
      expect(last_response.status).to eq 401
      ask(path, with: "guess")
      expect(last_response.status).to eq 401
      ask(path, with: make_studio.program_tokens.issue(name: "other", by_name: "M").last)
      expect(last_response.body).not_to include "Winter Piece", "Ada Test"
      post path, {}, { "HTTP_AUTHORIZATION" => "Bearer #{given}" }
      expect(last_response.status).to be_between(403, 405)
    end
    get "/pieces/#{piece.id}", {}, { "HTTP_AUTHORIZATION" => "Bearer #{given}" }
    expect(last_response.headers["location"]).to end_with "/sign-in"
  end

  it "get a token from a director, shown once and taken back at once" do
    sign_in director
    send_form "/settings/programs", { "name" => "foyer screen" }
    secret = Nokogiri::HTML(follow_redirect!.body).at_css("code").text
    get "/settings/programs"
    expect(last_response.body).not_to include secret
    expect(last_response.body).to include("foyer screen").and include "not used yet"
    ask("/api/1/pieces", with: secret)
    expect(last_response.status).to eq 200
    sign_in director
    expect(get("/settings/programs").body).to include "used last on"
    send_form "/settings/programs/#{studio.program_tokens.last.id}/revoke", {}
    ask("/api/1/pieces", with: secret)
    expect(last_response.status).to eq 401
    sign_in director
    send_form "/settings/programs", { "name" => " " }
    expect(last_response.status).to eq 422
  end
end
