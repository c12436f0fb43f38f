# frozen_string_literal: true

require_relative "config/boot"
run App::Web::Application.rack
