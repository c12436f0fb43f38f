# frozen_string_literal: true

require "rack/mock"

module Bench
  # Server time per main screen, in this process and through the whole rack stack, against a bare Sinatra route (which
  # is none of ours: it says how fast this machine is now) and against a route of the application that does nothing.
  class Web
    SCREENS = {
      "home" => "/",
      "share_out" => "/pieces/%d",
      "who_has_it" => "/pieces/%d/who-has-it",
      "plan" => "/pieces/%d/plan",
      "calls" => "/pieces/%d/calls"
    }.freeze
    RUNS = 25
    # The application answers its own names only.
    HERE = { "HTTP_HOST" => "127.0.0.1", "HTTP_ACCEPT" => "text/html" }.freeze

    def run
      App::Web::Application.allow(:member, get: "/bench/nothing") { "nothing\n" }
      @app = App::Web::Application.rack
      bare = bare_route
      puts format("bare Sinatra route: median %.2f ms", Bench.median(Bench.times(RUNS * 4, &bare)))
      Records::Studio.transaction do
        report("demo", Records::Studio.find_by!(demo: true), App::Demo::World::WINGS)
        report("large", *LargeStudio.new.make)
        raise ActiveRecord::Rollback
      end
    end

    private

    def bare_route
      app = Class.new(Sinatra::Base) do
        set :environment, :production
        get("/") { "nothing\n" }
      end
      ->(*) { app.call(Rack::MockRequest.env_for("/"))[2].each(&:itself) }
    end

    def report(label, studio, title)
      cookie = sign_in(studio)
      piece = studio.pieces.find_by!(title:)
      floor = median(cookie, "/bench/nothing")
      puts format("%-6s %-12s median %7.1f ms", label, "nothing", floor)
      SCREENS.each do |name, path|
        sorted = Bench.times(RUNS) { get(cookie, format(path, piece.id)) }
        puts format(
          "%-6s %-12s median %7.1f ms  p95 %7.1f ms  × nothing %5.1f",
          label,
          name,
          Bench.median(sorted),
          Bench.p95(sorted),
          Bench.median(sorted) / floor
        )
      end
    end

    def median(cookie, path) = Bench.median(Bench.times(RUNS) { get(cookie, path) })

    def get(cookie, path)
      status, _, body =
        @app.call(Rack::MockRequest.env_for(path, "HTTP_COOKIE" => cookie, **HERE))
      body.each { |part| part }
      body.close if body.respond_to?(:close)
      raise "#{path} answered #{status}" unless status == 200
    end

    # Walks in as the studio's director, through the session middleware's own cookie.
    def sign_in(studio)
      account = studio.memberships.find_by!(role: "director").account
      account.update!(password: "measure this well")
      _, headers, body = @app.call(Rack::MockRequest.env_for("/sign-in", HERE))
      html = +""
      body.each { |part| html << part }
      cookie = headers["set-cookie"].to_s[/join_chain=[^;]+/]
      form = {
        "email" => account.email,
        "password" => "measure this well",
        "authenticity_token" => html[/name="authenticity_token" value="([^"]+)"/, 1]
      }
      _, headers, =
        @app.call(
          Rack::MockRequest.env_for("/sign-in", :method => "POST", :params => form, "HTTP_COOKIE" => cookie, **HERE)
        )
      # As a browser does, with the cookie of the first page.
      cookie = headers["set-cookie"].to_s[/join_chain=[^;]+/]
      _, headers, = @app.call(Rack::MockRequest.env_for("/", "HTTP_COOKIE" => cookie, **HERE))
      headers["set-cookie"].to_s[/join_chain=[^;]+/]
    end
  end

  # A studio with 400 dancers in 12 groups and a piece of 60 links from 30 sections, half of it learned.
  class LargeStudio
    def make
      studio = Records::Studio.create!(name: "Bench")
      director =
        studio.memberships.create!(
          role: "director",
          account: Records::Account.create!(name: "B", email: "bench@bench.example", password: "measure this well")
        )
      lines =
        Array.new(60) do |i|
          i < 30 ? "Part #{i + 1}, 6 eights, Teacher #{i % 8}" : "Part #{i - 29} again#{', other side' if i.even?}"
        end
      teach = Array.new(8) { |i| "Teacher #{i}" }
      form = { "title" => "Large", "structure" => lines.join("\n"), "teach" => teach }
      piece = App::Piece::Actions::Create.new(director, form).run
      App::People::Actions::ImportRoster.new(
        studio,
        Array.new(400) { |i| "Dancer #{i + 1},Group #{(i % 12) + 1}" }.join("\n"),
        piece.id.to_s
      ).run
      tick(piece, director)
      [studio, "Large"]
    end

    private

    def tick(piece, director)
      items = App::Reading::LearningItems.of(piece.reload)
      random = Random.new(3)
      rows = items.all.flat_map do |item|
        items.dancers(item).select { random.rand < 0.5 }.map do |person|
          {
            studio_id: piece.studio_id,
            piece_id: piece.id,
            person_id: person,
            item_key: item.key,
            kind: "danced",
            rung: random.rand(1..5),
            account_id: director.account_id,
            client_id: nil,
            note: "",
            by_name: director.account.name,
            day: Date.today - random.rand(40),
            created_at: Time.now
          }
        end
      end
      rows.each_slice(4000) { |entries| Records::Mapping::Learnings.append(piece, entries) }
    end
  end
end
