# frozen_string_literal: true

ENV["APP_ENV"] = ENV["RACK_ENV"] = "test"

HOUSE = File.expand_path("..", __dir__)

if ENV["COVERAGE"]
  require_relative "support/coverage_report"
  CoverageReport.begin
end

require_relative "../core/core"
require_relative "../formats/formats"

# The sentences of the locale file, for core and formats.
SAY = Formats::Phrases.new(File.read(File.join(HOUSE, "config", "locales", "en.yml"), encoding: "UTF-8")).method(:say)

require_relative "support/core_builders"
require_relative "support/seeded"

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.expect_with(:rspec) { |expect| expect.syntax = :expect }
  config.order = :random
  Kernel.srand config.seed
  config.include CoreBuilders
  config.include Seeded
  config.filter_run_when_matching :focus
  # What takes long is for bin/test --all.
  config.filter_run_excluding :long unless ENV["LONG"] == "yes"
end
