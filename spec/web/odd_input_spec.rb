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
        get(
          "#{path}#{path.include?('?') ? '&' : '?'}#{Rack::Utils.build_nested_query(sent(random).reject do |_, value|
            value.to_s.include?("\u0000")
          end)}"
        )
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

  describe App::Web::PermittedParameters do
    it "lets through what a form has, and leaves out what it cannot have" do
      sent = {
        "name" => "A\0da",
        "days" => ["1", { "x" => "2" }],
        "hazards" => "lift",
        "title" => ["x"],
        "cast" => {
          "7" => ["", "in"],
          "8" => "in"
        },
        "rows" => {
          "1" => {
            "text" => "step",
            "deep" => {}
          },
          "2" => "x"
        },
        "taught" => "3",
        "minutes" => "30",
        "entry" => { "facing" => "3" },
        "file" => { "tempfile" => "no file" }
      }
      expect(described_class.form(sent)).to eq(
        "name" => "Ada",
        "days" => ["1"],
        "hazards" => "lift",
        "cast" => { "7" => ["", "in"] },
        "rows" => {
          "1" => { "text" => "step" }
        },
        "minutes" => "30",
        "entry" => { "facing" => "3" }
      )
      expect(
        [
          described_class.sent([1]),
          described_class.sent("cells" => "x", "taps" => [1], "rung" => 3, "way" => { "a" => 1 })
        ]
      ).to eq [{}, { "taps" => [1], "rung" => 3 }]
    end

    it "knows every list and table that a form of ours sends" do
      asked = Dir["app/*/views/*.erb"].flat_map { |file| File.read(file).scan(/name="(\w+)\[/).flatten }.uniq
      expect(
        asked - described_class::LISTS - described_class::TEXTS - described_class::CHOICES - described_class::ROWS
      ).to eq []
    end
  end
end
