# frozen_string_literal: true

ENV["APP_ENV"] ||= "development"
ENV["RACK_ENV"] = ENV.fetch("APP_ENV")

require_relative "encodings"
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
require "rqrcode_core"
require "semantic_logger"
require "shrine"
require "shrine/storage/file_system"
require_relative "../formats/formats"
require_relative "settings"

# Formats with libraries of their own are read when they are used first: a start needs none of them.
LATER = { Calendar: "calendar", Xlsx: "xlsx", Print: "print", Midi: "midi", StudioArchive: "studio_archive" }.freeze
LATER.each do |name, file|
  Formats.autoload(name, File.expand_path("../formats/#{file}", __dir__))
end

module Records; end
module App; end

LOADER = Zeitwerk::Loader.new
LOADER.push_dir(File.expand_path("../records", __dir__), namespace: Records)
LOADER.push_dir(File.expand_path("../app", __dir__), namespace: App)
LOADER.ignore(*Dir[File.expand_path("../app/*/views", __dir__)], File.expand_path("../app/assets", __dir__))
LOADER.setup

I18n.load_path += Dir[File.expand_path("locales/*.yml", __dir__)]
I18n.available_locales = [:en]
I18n.enforce_available_locales = true

Settings.check_production if Settings.production?
require_relative "logging"
require_relative "database"
