# frozen_string_literal: true

# The measurements bin/bench can make.
module Bench
  ALL = { "web" => -> { require_relative("web") && Web.new.run }, "check" => -> { require_relative("check") && Check.new.run },
          "fuzz" => -> { require_relative("check") && Fuzz.new.run } }.freeze

  module_function

  # Milliseconds of each of `times` runs after two that are not counted.
  def times(count, &)
    2.times(&)
    Array.new(count) do
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
    end.sort
  end

  def median(sorted) = sorted[sorted.size / 2]
  def p95(sorted) = sorted[(sorted.size * 0.95).floor]
end
