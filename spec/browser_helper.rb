# frozen_string_literal: true

require "web_helper"
require_relative "support/screens"
