# frozen_string_literal: true

module App
  module Shared
    # A form that several people may have open at once: as it was when it was opened, as it was sent, and as its fields
    # stand now, merged field by field. What was not touched stays as it stands; what was touched by one is taken; what
    # two people changed differently is a conflict, and both are shown.
    #
    #   OpenForm.new({ "name" => "Hall" }, sent: { "name" => "Loft", "was" => '{"name":"Hall"}' }).merged
    #   # => { "name" => "Loft" }
    class OpenForm
      Conflict = Struct.new(:name, :mine, :theirs)

      attr_reader :now

      # What a form remembers of how it was opened, from its field "was". A form without a memory was opened nobody
      # knows when: whatever it says is set against what stands.
      def self.memory(text)
        found = JSON.parse(text.to_s)
        found.is_a?(Hash) ? found.transform_values(&:to_s) : {}
      rescue JSON::ParserError
        {}
      end

      # now: {field => text} as the form would show it now. sent: the same of what came, with "was", the form's own
      # memory of how it was opened; a field that did not come was not touched. units: lists of fields that mean
      # something only together, and are taken together.
      def initialize(now, sent: nil, units: [])
        @now = now.transform_values(&:to_s)
        @sent = sent&.to_h&.transform_values { |value| clean(value) }
        @was = sent ? self.class.memory(sent["was"]).transform_values { |value| clean(value) } : @now
        @units = units
      end

      # What the form remembers: how its fields stand now.
      def was = JSON.generate(@now)

      # What a field shows: what was typed into it here, else how it stands by now.
      def value(name) = sent? ? merged.fetch(name, "") : @now.fetch(name, "")
      def sent? = !@sent.nil?
      def came?(name) = @sent.key?(name)

      # {field => text} to be saved.
      def merged = @merged ||= names.to_h { |name| [name, touched?(unit(name)) ? mine(name) : theirs(name)] }

      # Fields that were touched here.
      def touched = names.reject { |name| mine(name) == before(name) }

      # [Conflict, …] of what two people changed, and not to the same.
      def conflicts
        return [] unless sent?

        names
          .select { |name| both?(unit(name)) && mine(name) != theirs(name) }
          .map { |name| Conflict.new(name, mine(name), theirs(name)) }
      end

      private

      def names = (@now.keys | @was.keys | (@sent || {}).keys) - ["was"]
      def unit(name) = @units.find { |unit| unit.include?(name) } || [name]
      def before(name) = @was.fetch(name, "")
      def mine(name) = @sent.fetch(name) { before(name) }
      def theirs(name) = @now.fetch(name, "")
      def touched?(unit) = unit.any? { |name| mine(name) != before(name) }
      def both?(unit) = touched?(unit) && unit.any? { |name| theirs(name) != before(name) }

      # Browsers send other line ends than they were given, and people leave blanks at the end.
      def clean(value) = value.to_s.gsub(/\r\n?/, "\n").strip
    end
  end
end
