# frozen_string_literal: true

# Property examples: a printed seed on failure, SEED=… to repeat it.
module Seeded
  # Whatever else than an expectation went wrong, with its seed: some errors cannot be made anew with another message.
  class Failed < StandardError
  end

  def each_case(count)
    seed = Integer(ENV.fetch("SEED", rand(1_000_000)))
    count.times do |i|
      random = Random.new(seed + i)
      yield random
    rescue RSpec::Expectations::ExpectationNotMetError => e
      raise e.class, "#{e.message}\n(repeat with SEED=#{seed + i})", e.backtrace
    rescue StandardError, SystemStackError, NoMemoryError, ScriptError => e
      raise Failed, "#{e.class}: #{e.message}\n(repeat with SEED=#{seed + i})", e.backtrace
    end
  end
end
