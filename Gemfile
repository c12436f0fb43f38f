# frozen_string_literal: true

source "https://rubygems.org"
ruby ">= 3.1"

# web
gem "erubi", "~> 1.13"
gem "puma", "~> 8.0"
gem "rack", "~> 3.2"
gem "rack-protection", "~> 4.2"
gem "rack-session", "~> 2.1"
gem "rack-timeout", "~> 0.7"
gem "sinatra", "~> 4.2"
gem "zeitwerk", "~> 2.6.0"

# data
gem "activerecord", "~> 7.2.0", require: "active_record"
gem "bcrypt", "~> 3.1"
gem "json", "~> 2"
gem "kramdown", "~> 2.4"
gem "pg", "~> 1.5"
gem "que", "~> 2.4"
gem "rake", "~> 13.0"

# app
gem "csv", "~> 3.2"
gem "diff-lcs", "~> 1.5"
gem "dry-schema", "~> 1.13.4"
gem "i18n", "~> 1.14"
gem "icalendar", "~> 2.10"
gem "mail", "~> 2.8"
gem "marcel", "~> 1.0"
gem "pundit", "~> 2.5"
gem "semantic_logger", "~> 4.16"
gem "shrine", "~> 3.6"
gem "tzinfo", "~> 2.0"
gem "tzinfo-data", "~> 1.2024"

# files in and out
gem "bigdecimal", "~> 3.1" # what prawn's fonts need
gem "caxlsx", "~> 4.1"
gem "matrix", "~> 0.4"
gem "midilib", "~> 4.0"
gem "prawn", "~> 2.5"
gem "prawn-svg", "~> 0.36"
gem "prawn-table", "~> 0.2"
gem "roo", "~> 2.10"
gem "rqrcode_core", "~> 1.2"
gem "rubyzip", "~> 2.4", require: "zip"

group :test do
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.17"
  gem "database_cleaner-active_record", "~> 2.2"
  gem "json_schemer", "~> 2.4"
  gem "parallel_tests", "~> 4.9"
  gem "pdf-reader", "~> 2.12"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
end

group :lint do
  gem "brakeman", "~> 7.0", require: false
  gem "erb_lint", "~> 0.9", require: false
  gem "rubocop", "~> 1.75", require: false
  gem "rubocop-performance", "~> 1.25", require: false
  gem "rubocop-rspec", "~> 3.6", require: false
end

# an exact solver to measure the planner against (bin/bench plan):
# bundle config set --local with bench && bundle install
group :bench, optional: true do
  gem "highs", "~> 0.2.6", require: false
end
