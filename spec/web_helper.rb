# frozen_string_literal: true

require "spec_helper"
ENV["DATABASE_URL"] ||= "#{ENV.fetch('TEST_DATABASE_BASE')}/joinchain_test#{ENV.fetch('TEST_ENV_NUMBER', '')}"
require_relative "../config/boot"
require "rack/test"

# A sentence that is missing fails the example that would have shown it.
I18n.exception_handler = ->(missing, *) { raise missing.respond_to?(:to_exception) ? missing.to_exception : missing }
require "database_cleaner/active_record"
require_relative "support/studio_queries"
require_relative "support/studios"
require_relative "support/visits"

# The moment at which every spec happens: a Tuesday, just before rehearsal.
NOW = Time.utc(2027, 2, 2, 17, 10)
BCrypt::Engine.cost = 4
# What a director asks of the worker is done at once; specs of the job itself run it by hand.
App::Jobs::WorkOutPlans.run_synchronously = true
App::Jobs::MailReset.run_synchronously = true

RSpec.configure do |config|
  config.include Studios
  config.include Visits, :web
  config.before(:suite) { StudioQueries.watch }
  config.after(:suite) { abort(StudioQueries.found.tally.to_a.join("\n")) if StudioQueries.found.any? }
  config.before(:suite) { DatabaseCleaner.clean_with(:truncation) }
  config.around do |example|
    App::Shared::Clock.frozen_at = NOW
    App::Reading::PieceSnapshots.clear
    App::Reading::SeasonSnapshots.clear
    # Browsers, and specs with several connections, see only what was committed.
    committed = example.metadata[:browser] || example.metadata[:committed]
    DatabaseCleaner.strategy = committed ? :truncation : :transaction
    DatabaseCleaner.start
    # Counters are raised at the commit, which such an example never comes to.
    ActiveRecord::Base.connection.execute("SET CONSTRAINTS ALL IMMEDIATE") unless committed
    example.run
  ensure
    DatabaseCleaner.clean
  end
end
