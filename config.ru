# frozen_string_literal: true

require_relative "config/boot"
require_relative "app/web"
run App::Web.rack
