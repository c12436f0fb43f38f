# frozen_string_literal: true

require "securerandom"
require_relative "settings"
Settings.check_production
Settings.session_secret
