# frozen_string_literal: true

require "net/http"
require "socket"
require_relative "faults/visitor"

module Bench
  # The application as it is served (processes and threads of config/puma.rb), on a database of its own with the demo
  # studio in it, and whoever reads and writes there.
  class Serving
    ROOT = File.expand_path("..", __dir__)
    NAME = "joinchain_bench"
    DIRECTOR = ["ilse@thornbeck.example", "walk-right-in"].freeze

    attr_reader :port, :piece, :cells

    # Runs the block with a server that is there.
    def self.open
      serving = new
      serving.start
      yield serving
    ensure
      serving&.stop
    end

    def start
      @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
      system(env, "bin/migrate", "--demo", chdir: ROOT, out: File::NULL, exception: true)
      ActiveRecord::Base.establish_connection(url:)
      look
      server = 'load Gem.bin_path("puma", "puma")'
      @pid = Process.spawn(env, "ruby", "-rbundler/setup", "-e", server, "--", "-C", "config/puma.rb",
                           chdir: ROOT, out: File::NULL, err: File::NULL)
      sleep 0.1 until answers?
    end

    def stop
      Process.kill("TERM", @pid)
      Process.wait(@pid)
      ActiveRecord::Base.establish_connection(url: url.sub(NAME, "postgres"))
      ActiveRecord::Base.connection.execute("DROP DATABASE IF EXISTS #{NAME} WITH (FORCE)")
    end

    # [cookie, token] of a director who has signed in.
    def sign_in
      visitor = Faults::Visitor.new(port)
      visitor.sign_in(*DIRECTOR)
      token = visitor.token
      [visitor.cookie, token]
    end

    # A connection that is kept; the block gets it.
    def connected(&) = Net::HTTP.start("127.0.0.1", port, read_timeout: 60, &)

    # Memory of all its processes, in MB.
    def memory
      pids = [@pid, *IO.popen(["pgrep", "-P", @pid.to_s], &:readlines).map(&:to_i)]
      pids.sum { |pid| File.read("/proc/#{pid}/statm").split[1].to_i * 4096 } / (1024 * 1024)
    end

    def entries = Records::LedgerEntry.where("client_id LIKE 'bench-%'").count

    private

    def look
      studio = Records::Studio.find_by!(demo: true)
      row = studio.pieces.find_by!(title: App::Demo::World::WINGS)
      items = App::Reading::LearningItems.of(row)
      @piece = row.id
      @cells = items.all.flat_map { |item| items.dancers(item).map { |person| "#{person}:#{item.key}" } }
    end

    def answers?
      connected { |http| http.get("/sign-in").code == "200" }
    rescue SystemCallError
      false
    end

    def url = @url ||= Settings.database_url.sub(%r{/[^/]+\z}, "/#{NAME}")

    def env
      { "DATABASE_URL" => url, "APP_ENV" => "development", "RACK_ENV" => "development", "PORT" => port.to_s,
        "RUBYOPT" => "--yjit" }
    end
  end
end
