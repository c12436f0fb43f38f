# frozen_string_literal: true

# Property examples. Every run takes the same seed, so that the same tree is judged the same twice; the long runs take
# another each time. A failure prints its seed, SEED=… repeats it.
module Seeded
  EVERY_RUN = 20_261
  LONG = !ENV["LONG"].nil?
  FIRST = Integer(ENV.fetch("SEED") { LONG ? rand(1_000_000) : EVERY_RUN })

  # Whatever else than an expectation went wrong, with its seed: some errors cannot be made anew with another message.
  class Failed < StandardError
  end

  # short: how many in a plain run, where each of them takes long.
  def each_case(count, short: count)
    (LONG ? count : short).times do |i|
      random = Random.new(FIRST + i)
      yield random
    rescue RSpec::Expectations::ExpectationNotMetError => e
      raise e.class, "#{e.message}\n(repeat with SEED=#{FIRST + i})", e.backtrace
    rescue StandardError, SystemStackError, NoMemoryError, ScriptError => e
      raise Failed, "#{e.class}: #{e.message}\n(repeat with SEED=#{FIRST + i})", e.backtrace
    end
  end
end
