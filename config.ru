# frozen_string_literal: true

require_relative "config/boot"
App::Demo::Guard.check
run App::Web::Application.rack
