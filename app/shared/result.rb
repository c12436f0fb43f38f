# frozen_string_literal: true

module App
  module Shared
    # What an action answers: a value, or what is wrong ({field => text}).
    class Result
      attr_reader :value, :errors

      def self.ok(value = nil) = new(value, {})
      def self.no(errors, value = nil) = new(value, errors)

      def initialize(value, errors)
        @value = value
        @errors = errors
      end

      def ok? = errors.empty?
    end
  end
end
