# frozen_string_literal: true

module Core
  module Values
    # Base of frozen values, equal by their declared fields.
    # Value.of(:counts, text: "") declares a required and an optional field (with its default).
    #
    # with(text: "…") is the same value with some fields changed.
    #
    #   class Row < Values::Value.of(:counts, text: ""); end
    #   Row.new(counts: 8) == Row.new(counts: 8, text: "")  # => true
    class Value
      # A class of values with these fields: names of those that must be given, names and defaults of the others.
      def self.of(*required, **optional)
        Class.new(self) do
          const_set(:DEFAULTS, optional.freeze)
          const_set(:FIELDS, (required + optional.keys).freeze)
          const_set(:PLACES, self::FIELDS.to_h { |name| [name, :"@#{name}"] }.freeze)
          attr_reader(*self::FIELDS)

          class_eval(Value.constructor(required, optional.keys), __FILE__, __LINE__)
        end
      end

      # Ruby text of an initialize with these keywords; written out because values are built by the thousand.
      def self.constructor(required, optional)
        keywords =
          required.map { |name| "#{name}:" } + optional.map { |name| "#{name}: self.class::DEFAULTS[:#{name}]" }
        "def initialize(#{keywords.join(', ')})\n#{(required + optional).map do |name|
          "@#{name} = #{name}"
        end.join("\n")}\nsettle\nfreeze\nend"
      end

      # The same value with some fields changed.
      def with(**changes) = clone(freeze: false).become(changes)

      # {field => value}.
      def to_h = fields.to_h { |name| [name, public_send(name)] }

      # Equal class, equal fields.
      def ==(other) = other.class == self.class && fields.all? { |name| public_send(name) == other.public_send(name) }
      alias eql? ==

      # Equal for equal values, so that a value can be a key.
      def hash = [self.class, *fields.map { |name| public_send(name) }].hash

      protected

      # Sets fields of a copy that nobody has seen yet.
      def become(fields)
        fields.each { |name, value| instance_variable_set(self.class::PLACES.fetch(name), value) }
        settle
        freeze
      end

      private

      # Subclasses check or normalise their fields here, before freezing.
      def settle; end

      def fields = self.class::FIELDS
    end
  end
end
