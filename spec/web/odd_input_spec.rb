# frozen_string_literal: true

require "web_helper"
require "support/route_world"

# Whatever is sent to whichever route, it is answered: taken, refused with a reason, or not found; never with a crash.
RSpec.describe "odd input", :web do
  include RouteWorld

  # Names of all parameters that routes, actions and pages ask for.
  def names
    @names ||=
      Dir[File.join(HOUSE, "app", "**", "*.rb")]
        .flat_map do |file|
          File.read(file).scan(/(?:params|sent|asked|typed|given|own|form|data)\w*\["(\w+)"\]/).flatten
        end
        .uniq
        .sort
  end

  def texts
    @texts ||= [
      "",
      " ",
      "0",
      "-1",
      "1",
      "7",
      "65",
      "600",
      "99999999999999999999",
      "1.5",
      "1e9",
      "NaN",
      "½",
      "yes",
      "director",
      "2027-02-30",
      "2027-02-10",
      "0000-00-00",
      "18:00",
      "25:61",
      "x" * 3000,
      "<b>&\"'",
      "\u0000a",
      "é\u202e",
      "Ada, Scouts\nBram",
      "from 9: 3",
      "9-4 hold",
      "1 step R // o/s",
      "%s %{x}",
      "../../etc",
      "null",
      "entry",
      "exit",
      "canon",
      "lines",
      studio.id.to_s,
      dancer.id.to_s,
      piece.sections.first.id.to_s,
      piece.groups.first.id.to_s
    ]
  end

  def odd(random, deep: true)
    plain = texts.sample(random:)
    return plain if !deep || random.rand < 0.7

    group = piece.groups.first.id.to_s
    [
      [plain, texts.sample(random:)],
      { "1" => plain },
      { dancer.id.to_s => plain, group => odd(random, deep: false) },
      { "1" => %w[text counts in offset].to_h { |key| [key, odd(random, deep: false)] } },
      { group => { "in" => "1", **%w[offset hold_after stretches].to_h { |key| [key, odd(random, deep: false)] } } },
      { dancer.id.to_s => ["", "in", group, plain] },
      { "facing" => plain, "weight" => plain }
    ].sample(random:)
  end

  def sent(random) = names.select { random.rand < 0.6 }.to_h { |name| [name, odd(random)] }

  def answer(rule, path, random)
    Records::Base.transaction(requires_new: true) do
      case rule.verb
      when :get
        get("#{path}#{path.include?('?') ? '&' : '?'}#{Rack::Utils.build_nested_query(sent(random))}")
      else
        random.rand < 0.75 ? send_form(path, sent(random)) : send_json(path, sent(random))
      end
      raise ActiveRecord::Rollback
    end
    crash(rule, path) if last_response.status >= 500
  end

  def crash(rule, path)
    fault = last_request.env["sinatra.error"]
    where = fault&.backtrace&.find { |line| line.match?(%r{/(app|core|formats|records)/}) }
    "#{rule.verb} #{path}: #{last_response.status} #{fault&.class} #{fault&.message.to_s[0, 160]} #{where}"
  end

  it "knows what is asked for" do
    expect(names.size).to be > 80
    expect(names).to include("rows", "lock_version", "cast", "start")
  end

  it "is answered by every route of a director, many times" do
    sign_in members["director"]
    rules =
      App::Web::Access::RULES.reject do |rule|
        rule.roles.intersect?(%i[anyone bearer]) || rule.path.include?("sign-out") || rule.path == "/leave"
      end
    paths = rules.map { |rule| [rule, concrete(rule)] }
    each_case(3) do |random|
      crashed = paths.filter_map { |rule, path| answer(rule, path, random) }
      expect(crashed).to be_empty, crashed.join("\n")
    end
  end

  it "is answered at the doors, signed out" do
    dancer
    doors = App::Web::Access::RULES.select { |rule| rule.roles.intersect?(%i[anyone bearer]) }
    each_case(5) do |random|
      clear_cookies
      crashed =
        doors.filter_map do |rule|
          answer(rule, rule.path.gsub(/:\w+/) { %w[x %00 %C3%A9 0 a.b].sample(random:) }, random)
        end
      expect(crashed.grep_v(/ready: 503/)).to be_empty, crashed.join("\n")
    end
  end

  describe App::Web::Shape do
    it "lets through what a route declares, and names what is of another kind" do
      shape = described_class.new(name: :text, days: :texts, cast: :choices, rows: :rows, version: :whole,
                                  file: :upload)
      right = {
        "name" => "Ada",
        "days" => ["1"],
        "cast" => { "7" => ["", "in"] },
        "rows" => { "1" => { "text" => "step" } },
        "version" => "2147483647",
        "file" => { "tempfile" => StringIO.new }
      }
      expect(shape.read({ **right, "stranger" => "x" })).to have_attributes(values: right, errors: {})
      wrong = {
        "name" => ["x"],
        "days" => ["1", {}],
        "cast" => { "7" => "in" },
        "rows" => { "1" => { "text" => {} } },
        "version" => "2147483648",
        "file" => ["x"]
      }
      expect(shape.read(wrong).errors.keys).to match_array wrong.keys
      expect { described_class.new(name: :poem) }.to raise_error(ArgumentError, /poem/)
    end

    # A field that its route does not declare would be dropped without a word.
    it "is declared for every field that a form of ours sends" do
      declared = App::Web::Application && App::Web::Access::RULES.flat_map { |rule| rule.shape.fields.keys.map(&:to_s) }
      fields = Dir["app/*/views/*.erb"].flat_map { |file| File.read(file).scan(/name="(\w+)(?:\[[^"]*)?"/).flatten }
      expect(fields.uniq - declared - %w[authenticity_token viewport robots]).to eq []
    end
  end
end
