# frozen_string_literal: true

module Bench
  # Every main screen read by 32 people at once, as it is served: requests a second, the slowest answer, and the memory
  # of the processes before and after.
  #
  #   SECONDS=20 bin/bench load
  class Load
    CLIENTS = 32
    SCREENS = {
      "home" => "/",
      "calls" => "/calls",
      "steps" => "/pieces/%d/steps",
      "joins" => "/pieces/%d/joins",
      "who has it" => "/pieces/%d/who-has-it",
      "ready to run" => "/pieces/%d/who-has-it/ready",
      "plan" => "/pieces/%d/plan",
      "share-out" => "/pieces/%d"
    }.freeze

    def run
      long = Integer(ENV.fetch("SECONDS", "20"))
      Serving.open do |serving|
        @serving = serving
        @cookie, = serving.sign_in
        SCREENS.each_value { |path| read(path, 2) }
        before = serving.memory
        count = SCREENS.sum { |name, path| screen(name, path, long) }
        puts format("memory of all processes: %d MB before, %d MB after %d requests", before, serving.memory, count)
      end
    end

    private

    def screen(name, path, long)
      times = read(path, long)
      sorted = times.sort
      puts format("%-13s %6.0f requests/s  median %5.0f ms  p99 %5.0f ms  worst %5.0f ms", name,
                  times.size.fdiv(long), Bench.median(sorted), sorted[(sorted.size * 0.99).floor], sorted.last)
      times.size
    end

    def read(path, long)
      stop = now + long
      Array.new(CLIENTS) { Thread.new { one(format(path, @serving.piece), stop) } }.flat_map(&:value)
    end

    def one(path, stop)
      times = []
      @serving.connected do |http|
        while now < stop
          started = now
          code = http.get(path, "Cookie" => @cookie).code
          raise "#{path} answered #{code}" unless code == "200"

          times << ((now - started) * 1000)
        end
      end
      times
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
