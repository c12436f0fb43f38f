# frozen_string_literal: true

require "dry/schema"

module App
  module Web
    # What one route may be sent: names, each with its kind. Anything undeclared is left out; what is declared and
    # comes as another kind is named with a sentence.
    #
    #   Shape.new(name: :text, days: :texts).read({ "name" => "Ada", "days" => "Monday" }).errors
    #   # => { "days" => "is a list of texts" }
    class Shape
      MOST = (2**31) - 1

      # The kinds. An empty field counts as sent; a missing one may be missing everywhere.
      module Kinds
        include Dry::Logic::Predicates

        def self.text(value) = value.nil? || legible?(value)

        def self.legible?(value)
          value.is_a?(String) && value.valid_encoding? && !value.include?(Middleware::ReadableRequest::HALF)
        end

        def self.texts(value) = value.is_a?(Array) && value.all? { |each| legible?(each) }
        def self.hash_of(value, &) = value.is_a?(Hash) && value.each_value.all?(&)

        predicate(:text?) { |value| Kinds.text(value) }
        predicate(:texts?) { |value| Kinds.texts(value) }
        predicate(:table?) { |value| Kinds.hash_of(value) { |each| Kinds.text(each) } }
        predicate(:choices?) { |value| Kinds.hash_of(value) { |each| Kinds.texts(each) } }
        predicate(:rows?) { |value| Kinds.hash_of(value) { |row| Kinds.hash_of(row) { |each| Kinds.text(each) } } }
        # An identifier or a version: digits, or a number of a script, within what a column holds.
        predicate(:whole?) do |value|
          value.nil? || value == "" || (value.to_s.match?(/\A\d{1,10}\z/) && value.to_s.to_i <= MOST)
        end
        predicate(:numbers?) { |value| value.is_a?(Array) && value.all?(Numeric) }
        predicate(:records?) do |value|
          value.is_a?(Array) && value.all? { |each| Kinds.hash_of(each) { |own| !own.is_a?(Enumerable) } }
        end
        predicate(:upload?) { |value| Kinds.text(value) || (value.is_a?(Hash) && value["tempfile"].respond_to?(:read)) }
      end

      KINDS = %i[text texts table choices rows whole numbers records upload].freeze
      Read = Struct.new(:values, :errors)

      attr_reader :fields

      def initialize(fields)
        strangers = fields.values - KINDS
        raise ArgumentError, "no such kind: #{strangers.join(', ')}" if strangers.any?

        @fields = fields.freeze
      end

      # given: parameters or a parsed object. Answers what is declared of it, and {name => sentence} of what is wrong.
      def read(given)
        kept = given.to_h.slice(*fields.keys.map(&:to_s))
        wrong = schema.call(kept.transform_keys(&:to_sym)).errors.to_h
        Read.new(kept, wrong.to_h { |name, sentences| [name.to_s, Array(sentences).first] })
      end

      private

      # Built when it is used first: a start needs none of them.
      def schema = @schema ||= compile(fields)

      def compile(fields)
        Dry::Schema.define do
          config.predicates = Dry::Schema::PredicateRegistry.new(Kinds)
          config.messages.load_paths << File.join(Settings::ROOT, "config", "shapes.yml")
          fields.each { |name, kind| optional(name).value(:"#{kind}?") }
        end
      end
    end
  end
end
