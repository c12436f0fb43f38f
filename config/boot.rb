# frozen_string_literal: true

ENV["APP_ENV"] ||= "development"
ENV["RACK_ENV"] = ENV.fetch("APP_ENV")

require "bundler/setup"
require "fileutils"
require "securerandom"
require "logger"
require "active_record"
require "que"
require "zeitwerk"
require "i18n"
require "tzinfo"
require "bcrypt"
require "semantic_logger"
require_relative "../formats/formats"
require_relative "settings"
require_relative "moved"

module Records; end
module App; end

LOADER = Zeitwerk::Loader.new
LOADER.push_dir(File.expand_path("../records", __dir__), namespace: Records)
LOADER.push_dir(File.expand_path("../app", __dir__), namespace: App)
ROOMS = %w[calls doors health home joins learning my_part people piece planning reading rehearsals shared spacing steps studio web].freeze
LOADER.ignore(*[*ROOMS, "assets"].map { |dir| File.expand_path("../app/#{dir}", __dir__) })
LOADER.setup
%w[Actions Pages Policies Routes Middleware Helpers].each { |name| App.const_set(name, Module.new) }
MOVED.except("Pages").each do |name, path|
  space, const = name.include?("::") ? name.split("::") : [nil, name]
  (space ? App.const_get(space) : App).autoload(const.to_sym, File.expand_path("../#{path}", __dir__))
end
require_relative "../app/shared/amount"

I18n.load_path += Dir[File.expand_path("locales/*.yml", __dir__)]
I18n.available_locales = [:en]
I18n.enforce_available_locales = true

Settings.check_production if Settings.production?
require_relative "logging"
require_relative "database"
