# frozen_string_literal: true

require "web_helper"

# What is looked at before any route is: the path, what was sent, and what of it is written down.
RSpec.describe "the gate", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }

  def raw(path, body = nil, **env)
    env = { "CONTENT_TYPE" => "application/x-www-form-urlencoded", "HTTP_X_CSRF_TOKEN" => token, **env }
    body ? post(path, body, env) : get(path, {}, env)
    expect(last_response.headers["content-security-policy"]).to include "default-src 'none'"
    last_response.status
  end

  it "answers 400 to bytes that are no text, whoever sends them and wherever they stand" do
    codes = {
      path: raw("/pieces/%FF"),
      doors: raw("/sign-in", "email=%ff&password=x"),
      forgot: raw("/forgot", "email=%C3%28"),
      query: raw("/sign-in?a=%ff"),
      name: raw("/sign-in", "%ff=1"),
      deep: raw("/sign-in", "a#{'[b]' * 200}=1"),
      many: raw("/sign-in", (1..5000).map { |i| "f#{i}=1" }.join("&")),
      json: raw("/taps", "{\"taps\":\"\xFF\"}", "CONTENT_TYPE" => "application/json"),
      deep_json: raw("/taps", ("[" * 200) + ("]" * 200), "CONTENT_TYPE" => "application/json"),
      agent: raw("/sign-in", nil, "HTTP_USER_AGENT" => "\xFF"),
      cookie: raw("/sign-in", nil, "HTTP_COOKIE" => "a=\xFF"),
      zero: raw("/pieces/%00")
    }
    expect(codes.values.uniq).to eq([400]), codes.to_s
    expect(last_response.body).to include I18n.t("errors.unreadable_path")
  end

  it "reads a path one way, however it is spelled" do
    expect(raw("/%73ign-in")).to eq 200
    expect(raw("/sign-in//")).to eq 200
    expect(raw("/%2573ign-in")).to eq 404
    expect(raw("/%C3%A9")).to eq 404
  end

  it "writes no token of a link into the log, however its path is spelled" do
    lines = []
    log = instance_double(SemanticLogger::Logger, error: nil, warn: nil)
    allow(log).to receive(:info) { |text, **| lines << text }
    allow(SemanticLogger).to receive(:[]).and_return(log)
    %w[/my/SECRET /%6dy/SECRET /invitation/SECRET /Reset/SECRET /x/SECRET /SECRET].each { |path| get path }
    get "/sign-in"
    App::Web::Access::RULES.select(&:secret).each { |rule| get rule.path.gsub(/:\w+/, "SECRET") }
    expect(lines).to include("GET /my/[hidden]", "GET /sign-in", "GET /x/[hidden]", "GET /mail/[hidden]",
                             "GET /sheet/[hidden]", "GET /calendar/[hidden].ics")
    expect(lines.join("\n")).not_to include "SECRET"
  end

  it "takes no route whose path holds a name that might open something, unless that is declared a secret" do
    app = Class.new(Sinatra::Base) { register App::Web::Access }
    expect { app.allow(:anyone, get: "/door/:pass") { "" } }.to raise_error(ArgumentError, /secret/)
    expect { app.allow(:anyone, get: "/door/:id") { "" } }.not_to raise_error
  ensure
    App::Web::Access::RULES.reject! { |rule| rule.path.start_with?("/door/") }
  end

  it "says which field of a form is of another kind, and changes nothing" do
    sign_in director
    piece = make_piece(studio, director)
    section = piece.sections.first
    send_form "/pieces/#{piece.id}/sections/#{section.id}", { "name" => ["x"], "lock_version" => (2**31).to_s }
    expect(last_response.status).to eq 422
    expect(last_response.body).to include("<strong>name</strong> is a text", "<strong>lock_version</strong> is a whole")
    send_json "/taps", [1, 2]
    expect([last_response.status,
            JSON.parse(last_response.body)]).to eq [422, { "errors" => { "base" => "is an object" } }]
  end

  it "makes nobody of words that are too long for a name, and keeps them" do
    sign_in director
    long = "Ann" * 30
    send_form "/pieces", { "title" => "New", "structure" => "Gate, 4 eights, #{long}", "teach[]" => long }
    expect([studio.people.pluck(:name), studio.sections.pluck(:name, :note)]).to eq [[], [["Gate", long]]]
  end

  it "names the line of a roster that would be one group too many, and takes the others" do
    sign_in director
    piece = make_piece(studio, director)
    text = (1..61).map { |i| "Ada #{i}, Group #{i}" }.join("\n")
    send_form "/roster/preview", { "piece" => piece.id.to_s, "text" => text }
    expect(last_response.body).to include I18n.t("roster.faults.too_many_groups", line: 61, subject: "Ada 61")
    send_form "/roster", { "piece" => piece.id.to_s, "text" => text }
    expect(get("/people").body).to include "60 dancers imported, one line left out"
    send_form "/pieces/#{piece.id}/groups", { "name" => "One more" }
    expect([last_response.status, last_response.body]).to match [422, /at most 60 groups/]
  end

  it "leaves alone what was said about a form that was saved, when its preview comes after it" do
    director = make_member(make_studio, "director")
    piece = make_piece(director.studio, director)
    sign_in director
    page = Nokogiri::HTML(get("/pieces/#{piece.id}/steps").body)
    form = page.at_css("form.steps-form")
    fields = { "authenticity_token" => form.at_css("input[name=authenticity_token]")["value"],
               "lock_version" => form.at_css("input[name=lock_version]")["value"],
               "rows" => { "1" => { "counts" => "8", "text" => "1 step R" } } }
    post form["action"], fields
    expect(last_response.headers["set-cookie"]).to include "join_chain"
    post form["data-url"], { **fields, "section" => piece.sections.first.id.to_s, "sequence" => "2" }
    expect(last_response.headers["set-cookie"]).to be_nil
    expect(get("/pieces/#{piece.id}/steps").body).to include "are saved"
  end
end
