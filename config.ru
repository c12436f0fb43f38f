# frozen_string_literal: true

require_relative "config/boot"
require_relative "app/web/application"
run App::Web.rack
