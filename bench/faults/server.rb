# frozen_string_literal: true

require "net/http"
require "socket"
require "pg"

module Bench
  module Faults
    # A server under trial: bin/start with a cluster of its own, and the processes behind it.
    class Server
      ROOT = File.expand_path("../..", __dir__)
      CLUSTER = "postgres-under-trial"
      CLEAN = %w[DATABASE_URL TEST_DATABASE_BASE RACK_ENV TEST_ENV_NUMBER RUBYOPT].to_h { |name| [name, nil] }.freeze

      attr_reader :port

      def initialize(log: File.join(ROOT, "tmp", "faults.log"))
        @log = log
        @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
      end

      # On a database that is made for it.
      def start
        begin_anew
        env = { **CLEAN, "APP_ENV" => "development", "POSTGRES_NAME" => CLUSTER, "PORT" => port.to_s }
        @pid = Process.spawn(env, "bin/start", chdir: ROOT, out: @log, err: @log, pgroup: true)
        wait(240, "the server") { answers? && worker_beats_after?(Time.at(0)) }
      end

      def stop
        Process.kill("TERM", @pid)
        Process.wait(@pid)
        system(cluster, "bin/postgres", "stop", chdir: ROOT)
      rescue Errno::ESRCH, Errno::ECHILD
        nil
      end

      def kill(what) = Process.kill("KILL", send(what))

      def answers?
        Net::HTTP.start("127.0.0.1", port, open_timeout: 1, read_timeout: 5) do |http|
          http.get("/sign-in").code == "200"
        end
      rescue SystemCallError, IOError, Timeout::Error
        false
      end

      # Whether the worker said that it is alive after a moment.
      def worker_beats_after?(moment)
        beat = database { |connection| connection.exec("SELECT max(beat_at) FROM heartbeats").getvalue(0, 0) }
        !beat.nil? && Time.parse("#{beat} UTC") > moment
      end

      # A connection of the trial's own; nil where there is none now.
      def database
        connection = PG.connect("#{url}/joinchain", connect_timeout: 2)
        yield connection
      rescue PG::Error
        nil
      ensure
        connection&.close
      end

      # Seconds until the block is true; raises where it takes too long.
      def wait(most, what)
        started = now
        until yield
          raise "#{what} did not come (back) within #{most} s; see #{@log}" if now - started > most

          sleep 0.1
        end
        now - started
      end

      private

      # bin/start looks after a cluster that it started itself.
      def begin_anew
        system(cluster, "bin/postgres", "start", chdir: ROOT, out: @log, err: @log)
        connection = PG.connect("#{url}/postgres")
        connection.exec("DROP DATABASE IF EXISTS joinchain WITH (FORCE)")
        connection.close
        system(cluster, "bin/postgres", "stop", chdir: ROOT)
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def cluster = { "POSTGRES_NAME" => CLUSTER }
      def url = IO.popen(cluster, ["bin/postgres", "url"], chdir: ROOT, &:read).strip

      # {process id => its command} of what bin/start has started.
      def children
        Dir.glob("/proc/[0-9]*").filter_map { |dir| running(dir) }.to_h
      end

      def running(dir)
        parent = File.read("#{dir}/stat")[/\) \S (\d+)/, 1].to_i
        [File.basename(dir).to_i, File.read("#{dir}/cmdline").tr("\0", " ")] if parent == @pid
      rescue SystemCallError
        nil # it ended meanwhile
      end

      def child(pattern) = children.find { |_, command| command.match?(pattern) }&.first || raise("no #{pattern}")
      def web = child(/puma/)
      def worker = child(%r{bin/worker})

      # A backend that serves the web server or the worker.
      def backend
        database do |connection|
          rows = connection.exec(<<~SQL)
            SELECT pid FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()
            AND backend_type = 'client backend' ORDER BY query_start DESC NULLS LAST LIMIT 1
          SQL
          rows.getvalue(0, 0).to_i
        end
      end

      def postmaster
        data = IO.popen(cluster, ["bin/postgres", "data"], chdir: ROOT, &:read).strip
        File.read(File.join(data, "postmaster.pid")).lines.first.to_i
      end
    end
  end
end
