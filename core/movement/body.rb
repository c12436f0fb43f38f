# frozen_string_literal: true

module Core
  module Movement
    # One value of the body and where it comes from: :stated, :derived, :supposed (something unknown, or without a
    # count, came since), :choice (the dancer's) or :not_stated. Facing front and standing at a start are the
    # convention: they have a value although nobody stated it.
    class Known < Values::Value.of(:value, :source)
      NOT_STATED = new(value: nil, source: :not_stated)
      # Derived values are few (feet, facings, levels) and made by the thousand: each is made once.
      DERIVED = Hash.new { |made, value| made[value] = new(value:, source: :derived) }

      def self.stated(value) = new(value:, source: :stated)
      def self.derived(value) = value.is_a?(String) ? new(value:, source: :derived) : DERIVED[value]
      def self.unknown(value = nil) = new(value:, source: :not_stated)
      def self.supposed(value) = value.nil? ? NOT_STATED : new(value:, source: :supposed)
      def self.choice = new(value: nil, source: :choice)
      def known? = !value.nil?

      # Whether it can be built on: a value, and not one that is only supposed.
      def sure? = known? && source != :supposed

      # Whether it is only what everybody does who is told nothing else.
      def convention? = known? && source == :not_stated
    end

    # Where the body is between two moves. weight: :left, :right, :both, :seated or :floor (the foot that bears it);
    # facing: 1 (audience) to 8, clockwise from above; level: :air, :standing, :low, :kneeling, :seated or :floor;
    # hands: what they hold, in words ("" for nothing); place: where on the floor, in words; travel: which way the last
    # move went; wheels: of a wheelchair, :braked or :free.
    class Body < Values::Value.of(
      weight: Known::NOT_STATED, facing: Known.unknown(1), level: Known.unknown(:standing),
      hands: Known::NOT_STATED, place: Known::NOT_STATED,
      travel: Known::NOT_STATED, wheels: Known::NOT_STATED
    )
      # From stated edges ({weight: :left, facing: 5}); what is missing stays not stated.
      def self.stated(values) = new(**values.compact.transform_values { |value| Known.stated(value) })

      # The foot that is free, or nil when either may go or nothing is known.
      def free_foot = { left: :right, right: :left }[weight.value]
    end
  end
end
