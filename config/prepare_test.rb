# frozen_string_literal: true

# Creates and migrates the two test databases (one for each parallel process).
require "bundler/setup"
require "open3"
base = ENV.fetch("TEST_DATABASE_BASE")
runs = ["", "2"].map do |number|
  env = { "DATABASE_URL" => "#{base}/joinchain_test#{number}", "APP_ENV" => "test" }
  Thread.new { Open3.capture2e(env, File.expand_path("../bin/migrate", __dir__)) }
end
runs.map(&:value).each { |output, status| abort(output) unless status.success? }
