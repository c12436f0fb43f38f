# frozen_string_literal: true

module Bench
  # Ticks as they come on an evening, from eight clients: 100 requests a second of one entry, then 40 a second of five
  # each, while somebody reads. Latency counts from when a request was due, so that waiting for the one before is
  # counted.
  #
  #   SECONDS=60,300 bin/bench ticks
  class Ticks
    CLIENTS = 8
    PHASES = [["one entry", 100, 1], ["five entries", 40, 5]].freeze
    PAGES = ["/pieces/%d/who-has-it", "/"].freeze

    def run
      seconds = ENV.fetch("SECONDS", "60,300").split(",").map(&:to_i)
      Serving.open do |serving|
        @serving = serving
        @cookie, @token = serving.sign_in
        quiet = reading(10)
        puts format("pages, nobody ticking: median %.0f ms, p99 %.0f ms", Bench.median(quiet), p99(quiet))
        PHASES.zip(seconds) { |(name, rate, size), long| phase(name, rate, size, long) }
      end
    end

    private

    def phase(name, rate, size, long)
      before = @serving.entries
      @read = []
      reader = Thread.new { @read = reading(long) }
      found = Array.new(CLIENTS) { |client| Thread.new { client(client, rate, size, long) } }.flat_map(&:value)
      reader.join
      report(name, rate, size, long, found, @serving.entries - before)
    end

    def report(name, rate, size, long, found, written)
      sorted = found.map(&:first).sort
      bad = found.count { |_, code| code != "200" }
      puts format("%d requests/s of %s for %d s: median %.0f ms, p99 %.0f ms, worst %.0f ms", rate, name, long,
                  Bench.median(sorted), p99(sorted), sorted.last)
      puts format("  %d sent, %d refused; %d entries sent, %d in the log", found.size, bad, found.size * size, written)
      puts format("  pages meanwhile: median %.0f ms, p99 %.0f ms", Bench.median(@read.sort), p99(@read.sort))
    end

    # [[milliseconds, code], …] of one client's requests.
    def client(number, rate, size, long)
      gap = CLIENTS.fdiv(rate)
      start = now + (number * gap / CLIENTS)
      random = Random.new(number)
      Wire.open(@serving.port) do |wire|
        Array.new((long / gap).floor) do |i|
          due = start + (i * gap)
          sleep [due - now, 0].max
          code = wire.post("/pieces/#{@serving.piece}/ticks", headers, ticks(size, random, "#{rate}-#{number}-#{i}"))
          [(now - due) * 1000, code]
        end
      end
    end

    def headers
      @headers ||= { "Content-Type" => "application/json", "Accept" => "application/json", "X-CSRF-Token" => @token,
                     "Cookie" => @cookie }
    end

    def ticks(size, random, key)
      cells = @serving.cells.sample(size, random:)
      JSON.generate(cells:, rung: random.rand(1..5), kind: "danced", client: "bench-#{key}")
    end

    # Milliseconds of pages read one after another for so long.
    def reading(long)
      stop = now + long
      times = []
      @serving.connected do |http|
        PAGES.cycle do |path|
          break if now >= stop

          started = now
          code = http.get(format(path, @serving.piece), "Cookie" => @cookie).code
          raise "#{path} answered #{code}" unless code == "200"

          times << ((now - started) * 1000)
          sleep 0.5
        end
      end
      times.sort
    end

    def p99(sorted) = sorted[(sorted.size * 0.99).floor]
    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
