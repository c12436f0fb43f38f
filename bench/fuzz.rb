# frozen_string_literal: true

require "rack/mock"
require_relative "../spec/support/odd_texts"
require_relative "costly"
require_relative "spoilt"

module Bench
  # What nobody foresaw, ten thousand times each: texts typed as steps, the whole way to the pages of their piece;
  # rosters; objects of scripts. Nothing is kept. Then every route of the application, by its own spec.
  class Fuzz
    COUNT = Integer(ENV.fetch("COUNT", "10000"))
    HERE = "http://127.0.0.1"
    PAGES = ["", "/steps", "/joins", "/spacing", "/names", "/who-has-it", "/plan", "/structure"].freeze
    # Eights a section, and sections a piece, into which texts are put.
    EIGHTS = 5
    SECTIONS = 20

    def initialize
      @random = Random.new(Integer(ENV.fetch("SEED", "1")))
      @odd = OddTexts.new(@random)
      @trouble = []
    end

    def run
      @app = App::Web::Application.rack
      Records::Studio.transaction do
        settle_in
        puts "texts:   #{texts}"
        puts "objects: #{objects}"
        raise ActiveRecord::Rollback
      end
      puts "rosters: #{rosters}"
      spoilt = Spoilt.new(COUNT, @random)
      puts spoilt.run
      @trouble.concat(spoilt.trouble)
      costly = Costly.new
      puts costly.run
      @trouble.concat(costly.trouble)
      puts @trouble.first(20)
      routes unless ENV["ROUTES"] == "no"
      exit @trouble.empty?
    end

    private

    def settle_in
      @studio = Records::Studio.create!(name: "Fuzz")
      account = Records::Account.create!(name: "F", email: "fuzz@fuzz.example", password: "fuzz this as well")
      @director = @studio.memberships.create!(role: "director", account:)
      lines = Array.new(SECTIONS) { |i| "Part #{i + 1}, #{EIGHTS} eights, Teacher #{i % 4}" }
      form = { "title" => "Fuzz", "structure" => lines.join("\n"), "teach" => Array.new(4) { |i| "Teacher #{i}" } }
      @piece = App::Piece::Actions::Create.new(@director, form).run
      people = Array.new(6) { |i| "Dancer #{i + 1},Group #{i % 2}" }.join("\n")
      App::People::Actions::ImportRoster.new(@studio, people, @piece.id.to_s).run
      @token = Records::SignIn.begin(account, device: "computer", now: Time.now.utc).last
    end

    # A piece's eights are filled with texts, and every page of it is asked for.
    def texts
      answers = Array.new(COUNT / (EIGHTS * SECTIONS)) do
        @piece.sections.reload.flat_map(&:eights).each { |eight| eight.update_columns(text: @odd.text[0, 1000]) }
        @piece.reload.touch
        Records::Base.connection.execute("SET CONSTRAINTS ALL IMMEDIATE")
        Records::Base.connection.execute("SET CONSTRAINTS ALL DEFERRED")
        App::Reading::PieceSnapshots.clear
        PAGES.map { |page| answered(:get, "/pieces/#{@piece.id}#{page}") }
      end
      "#{COUNT} on pages that answered #{answers.flatten.tally}, #{@trouble.size} in trouble"
    end

    def objects
      before = @trouble.size
      paths = ["/taps", "/pieces/#{@piece.id}/ticks", "/pieces/#{@piece.id}/links/#{@piece.links.first.id}/formation"]
      answers = Array.new(COUNT) { answered(:post, paths.sample(random: @random), JSON.generate(object)) }.tally
      "#{COUNT} answered #{answers.sort.to_h}, #{@trouble.size - before} in trouble"
    end

    # Half of what is in it is of the kind that is asked for there, with odd things in it.
    def object
      names = %w[taps cells rung kind client moment version spots person item]
      names.select { @random.rand < 0.6 }.to_h { |name| [name, @random.rand < 0.2 ? value : fitting(name)] }
    end

    def fitting(name)
      case name
      when "taps"
        Array.new(@random.rand(0..20)) { [@random.rand(-9..9000), 1.5e300, -0.0].sample(random: @random) }
      when "cells" then Array.new(@random.rand(0..5)) { "#{@random.rand(0..400)}:#{@odd.text[0, 12]}" }
      when "spots" then Array.new(@random.rand(0..5)) { %w[p x y f pin].to_h { |field| [field, plain] } }
      when "rung", "version" then @random.rand(0..9)
      else [@odd.text, "entry", "count-3", "danced"].sample(random: @random)
      end
    end

    def plain
      [@odd.text, @random.rand(-5..400), 2**63, 1.5e300, nil, true, "count-3", "entry"].sample(random: @random)
    end

    def value(depth = 0)
      return plain if depth > 3 || @random.rand < 0.5

      [Array.new(@random.rand(0..4)) { value(depth + 1) }, { "p" => value(depth + 1), "x" => value(depth + 1) }]
        .sample(random: @random)
    end

    def rosters
      before = @trouble.size
      lines = 0
      COUNT.times do
        bytes = roster
        result = Formats::Roster.parse(bytes, known_people: ["Ada"], most_groups: 5)
        count = Formats::Roster.text(bytes).lines.size
        lines += count
        @trouble << "roster #{bytes.inspect[0, 200]}" unless result.lines.values.sum == count
      rescue StandardError => e
        @trouble << "roster #{e.class} #{bytes.inspect[0, 200]}"
      end
      "#{COUNT} with #{lines} lines, all accounted for but in #{@trouble.size - before}"
    end

    def roster
      ending = ["\n", "\r", "\r\n"].sample(random: @random)
      cell = -> { ["Ada", "\"", "'", "name", "group", @odd.text[0, 30], "Wings", ""].sample(random: @random) }
      rows = Array.new(@random.rand(1..20)) do
        Array.new(@random.rand(1..4)) { cell.call }.join([",", ";", "\t"].sample(random: @random))
      end
      letters = %w[UTF-8 UTF-16LE Windows-1252].sample(random: @random)
      rows.join(ending).encode(letters, invalid: :replace, undef: :replace)
    end

    # The status of an answer; 500 and more are trouble.
    def answered(verb, path, body = nil)
      env = Rack::MockRequest.env_for("#{HERE}#{path}", method: verb.to_s.upcase, input: body.to_s)
      env["rack.session"] = { "sign_in" => @token, "studio" => @studio.id, :csrf => csrf }
      env["HTTP_HOST"] = "127.0.0.1"
      env["HTTP_X_CSRF_TOKEN"] = csrf
      env["CONTENT_TYPE"] = env["HTTP_ACCEPT"] = "application/json" if body
      status, = bare.call(env)
      @trouble << "#{verb} #{path} #{body.to_s[0, 200]}: #{env['sinatra.error'].inspect[0, 200]}" if status >= 500
      status
    end

    def csrf = @csrf ||= SecureRandom.urlsafe_base64(32)

    # The application below its own session, which is given here.
    def bare
      @bare ||= App::Web::Middleware::NormalPath.new(
        App::Web::Middleware::ReadableRequest.new(App::Web::Middleware::FormToken.new(App::Web::Application))
      )
    end

    def routes
      puts "routes:  every field with every kind of value"
      env = { "FUZZ" => "all", "APP_ENV" => "test", "RACK_ENV" => "test" }
      @trouble << "routes" unless system(env, "bin/test", "spec/web/every_route_spec.rb", "spec/web/odd_input_spec.rb")
    end
  end
end
