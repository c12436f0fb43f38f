# frozen_string_literal: true

# The measurements bin/bench can make.
module Bench
  ALL = {
    "web" => -> { use("../config/boot", "web") && Web.new.run },
    "check" => -> { use("../core/core", "check") && Check.new.run },
    "reading" => -> { use("../core/core", "reading") && Reading.new.run },
    "exports" => -> { use("../config/boot", "exports") && Exports.new.run },
    "fuzz" => -> { use("../config/boot", "fuzz") && Fuzz.new.run },
    "ticks" => -> { use("../config/boot", "serving", "wire", "ticks") && Ticks.new.run },
    "load" => -> { use("../config/boot", "serving", "load") && Load.new.run },
    "floor" => -> { use("../core/core", "floor") && Floor.new.run },
    "plan" => -> { use("../core/core", "plan_cases", "plan") && Plan.new.run }
  }.freeze

  module_function

  # Loads only what a measurement needs: the core is measured alone. What needs the application needs its demo.
  def use(*files)
    files.each { |file| require_relative(file) }
    demo if files.include?("../config/boot")
    true
  end

  def demo
    Records::Studio.exists?(demo: true) || abort("There is no demo here: run bin/start once, then this again.")
  rescue ActiveRecord::ActiveRecordError
    abort("There is no database here: run bin/start once, then this again.")
  end

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
