# frozen_string_literal: true

require "web_helper"
require "nokogiri"
require "support/route_world"
require "support/valid_requests"

# Every route that changes something: takes what is right, does it once however often it is sent, and answers whatever
# else comes with words.
RSpec.describe "every changing route", :web do
  include RouteWorld
  include ValidRequests

  # Routes whose scripts send JSON.
  def scripts
    %w[/taps /onsets /pieces/:piece/links/:id/formation /pieces/:piece/slots/:id/move /rehearsals/:id/entries]
  end

  # Routes that look at something, or are about coming in: nothing of the studio's changes.
  def looking
    %w[
      /pieces/preview /pieces/:piece/steps/preview /pieces/:piece/music/cut /roster/preview /taps /onsets
      /pieces/:piece/links/:id/formation/assign /people/:id/calendar
      /files/piece/preview /pieces/:piece/music/midi
      /pieces/:piece/sections/:id/paste/preview
    ]
  end

  def doors
    %w[
      /mail/:key /sheet/:code /sign-in /forgot /demo/enter /studios/:id/enter /sign-out /sign-out-everywhere
      /signed-in/:id/end
    ]
  end

  # What changes with every request, or says that it came.
  def beside = %w[submissions sign_ins tries que_jobs]

  def rules = App::Web::Application && App::Web::Access::RULES.reject { |rule| rule.verb == :get }

  def tables = Records::Base.connection.tables - beside - %w[schema_migrations ar_internal_metadata]

  # What every table holds, as a digest.
  def world
    parts = tables.sort.map do |table|
      "SELECT '#{table}', md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) FROM #{table} t"
    end
    Records::Base.connection.select_rows(parts.join(" UNION ALL ")).to_h
  end

  def difference(before, after) = after.reject { |table, digest| before[table] == digest }.keys

  def path_of(rule)
    case rule.path
    when "/invitation/:token" then "/invitation/#{invitation_token}"
    when "/reset/:token" then "/reset/#{reset_token}"
    when "/pieces/:piece/slots/:id/move" then "/pieces/#{piece.id}/slots/#{movable.first.id}/move"
    else concrete(rule)
    end
  end

  def invitation_token
    studio.invitations.issue(email: "new@example.org", role: "assistant", expires_at: NOW + 86_400).last
  end

  def reset_token
    Records::PasswordReset.issue(account: members["assistant"].account, expires_at: NOW + 3600).last
  end

  # As a page does it: a form with its own token, or a script's object.
  def send_valid(rule, path, values, key)
    return send_json(path, values) if scripts.include?(rule.path)

    post path, { **values, "authenticity_token" => key }
  end

  def in_a_world_of_its_own
    answer = nil
    Records::Base.transaction(requires_new: true) do
      answer = yield
      raise ActiveRecord::Rollback
    end
    answer
  end

  def sign_in_for(rule)
    who = rule.path == "/leave" ? "assistant" : "director"
    sign_in members[who]
    clear_cookies if rule.roles == [:anyone]
  end

  before do
    App::Jobs::WorkOutPlans.run_synchronously = true
    ids
    App::Jobs::WorkOutPlans.run_synchronously = false
    members
    demo_account
  end

  after { App::Jobs::WorkOutPlans.run_synchronously = true }

  def taken(rule)
    in_a_world_of_its_own do
      sign_in_for(rule)
      path = path_of(rule)
      values = remembering(rule, path, valid(rule))
      key = token
      before = world
      cookies = rack_mock_session.cookie_jar.dup
      send_valid(rule, path, values, key)
      first = last_response
      middle = world
      rack_mock_session.cookie_jar = cookies # both were sent before either was answered
      send_valid(rule, path, values, key)
      yield first, difference(before, middle), last_response, difference(middle, world)
    end
  end

  it "is known here, with a request that it takes" do
    expect(ValidRequests::FORMS.keys).to match_array rules.map(&:path)
  end

  it "takes what is right, once, and leads the second sending to where the first one led" do
    wrong = rules.filter_map do |rule|
      taken(rule) do |first, changed, second, again|
        right = [200, 302, 303].include?(first.status) && (changed.any? || [*looking, *doors].include?(rule.path))
        next "#{rule.path}: #{first.status} #{first.headers['location']} #{changed}" unless right
        next if doors.include?(rule.path)

        elsewhere = second.headers["location"] != first.headers["location"] && rule.path != "/leave"
        "#{rule.path}: twice #{again} #{second.status} #{second.headers['location']}" if again.any? || elsewhere
      end
    end
    expect(wrong).to be_empty, wrong.join("\n")
  end

  it "refuses the same form with something else in it, shows what was sent, and takes it as a further one" do
    sign_in members["director"]
    key = token
    post "/people", { **person_form("Ines New"), "authenticity_token" => key }
    post "/people", { **person_form("Jona New"), "authenticity_token" => key }
    expect(last_response.status).to eq 409
    fields = Nokogiri::HTML(last_response.body).css("form input").to_h { |field| [field["name"], field["value"]] }
    expect(studio.people.where(name: "Jona New")).to be_empty
    post "/people", fields
    expect(studio.people.where(name: ["Ines New", "Jona New"]).count).to eq 2
  end

  # What no form sends, for one field.
  def odd_values
    deep = "x"
    120.times { deep = { "a" => deep } }
    {
      empty: "",
      list: ["x"],
      table: { "1" => { "2" => "3" } },
      huge: "x" * 50_000,
      nul: "a\0b",
      bytes: "\xFF\xFE",
      deep:,
      negative: "-1",
      beyond: (2**63).to_s,
      fraction: "0.00001",
      words: "%{x} <b> ½ \u202e"
    }
  end

  # The valid request with one field replaced: every field once and every kind once, another pair from seed to seed;
  # all pairs with FUZZ=all (bin/bench fuzz).
  def variants(rule, values, random, &)
    return all_variants(rule, values, &) if ENV["FUZZ"] == "all"

    names = rule.shape.fields.keys.map(&:to_s).shuffle(random:)
    kinds = odd_values.to_a.shuffle(random:)
    [names.size, kinds.size].max.times do |i|
      name = names[i % names.size]
      kind, odd = kinds[i % kinds.size]
      yield name, kind, { **values, name => odd }
    end
    yield names.first, :missing, values.except(names.first)
    yield "many", :fields, (1..5000).to_h { |i| ["f#{i}", "x"] }
  end

  # Bytes that are no text stand in the JSON as they are.
  def sent_as_json(path, values)
    parts = values.map do |name, value|
      "#{JSON.generate(name)}:#{value == "\xFF\xFE" ? "\"\xFF\"" : JSON.generate(value, max_nesting: 0)}"
    end
    post path, "{#{parts.join(',')}}", {
      "CONTENT_TYPE" => "application/json",
      "HTTP_ACCEPT" => "application/json",
      "HTTP_X_CSRF_TOKEN" => @token
    }
  end

  def all_variants(rule, values)
    rule.shape.fields.keys.map(&:to_s).product(odd_values.to_a).each do |name, (kind, odd)|
      yield name, kind, { **values, name => odd }
    end
  end

  # Parameters written out by hand: some are none that a library would write.
  def send_raw(path, values, key)
    body = Rack::Utils.build_nested_query({ **values, "authenticity_token" => key })
    post path, body, { "CONTENT_TYPE" => "application/x-www-form-urlencoded" }
  end

  it "answers every kind of odd value with words" do
    random = Random.new(Seeded::FIRST)
    crashed = rules.flat_map do |rule|
      sign_in_for(rule)
      path = path_of(rule)
      values = remembering(rule, path, valid(rule)).transform_keys(&:to_s)
      key = @token = token
      faults = []
      variants(rule, values, random) do |name, kind, odd|
        in_a_world_of_its_own do
          scripts.include?(rule.path) ? sent_as_json(path, odd) : send_raw(path, odd, key)
        end
        fault = last_request.env["sinatra.error"]
        faults << "#{rule.path} #{name}=#{kind}: #{fault&.message.to_s[0, 120]}" if last_response.status >= 500
        policy = last_response.headers["content-security-policy"]
        faults << "#{rule.path} #{name}=#{kind}: no policy" unless policy
        if kind == :bytes && last_response.status != 400
          faults << "#{rule.path} #{name}=#{kind}: #{last_response.status}"
        end
      end
      faults
    end
    expect(crashed).to be_empty, crashed.first(40).join("\n")
  end
end
