# frozen_string_literal: true

module App
  module Room
    # One entry as a device sent it: a key of the device's own, when it was said, and the rest by its kind.
    class Sent
      KEY = /\A[a-z0-9-]{8,40}\z/
      NEWCOMER = /\Ac:(?<key>[a-z0-9-]{8,40})\z/

      # Beyond any count, minute or millisecond.
      LARGEST = 2**53
      private_constant :LARGEST

      attr_reader :studio

      def initialize(studio, values)
        @studio = studio
        @values = values
      end

      # Whether everything in it is text and numbers that can be kept: half a letter pair of a script's text is none.
      def readable?
        texts, others = @values.to_a.flatten.partition { |each| each.is_a?(String) }
        texts.all? { |text| Web::Shape::Kinds.legible?(text) } && others.all? { |value| number?(value) }
      end

      def number?(value) = !value.is_a?(Numeric) || (value.finite? && value.abs < LARGEST)

      def client = text("client")
      def key? = client.match?(KEY)
      def kind = text("kind")
      def undoes = text("of")[KEY]

      # Milliseconds since 1970, by the server's clock as far as the device knows it; never ahead of it, so that a wrong
      # clock has no last word for ever.
      def said_at
        now = (Shared::Clock.now.to_f * 1000).to_i
        [whole("at") || now, now].min
      end

      def minute = whole("minute")&.then { |minute| minute if minute.between?(0, 1439) }

      def text(name) = @values[name].to_s.scrub("?").strip
      def flag?(name) = [true, "true", "1", 1].include?(@values[name])

      def whole(name)
        number = Integer(@values[name].to_s.scrub("?"), 10, exception: false)
        number if number && number.abs < LARGEST
      end

      # A row of the studio by its id, or nil. name: of the field.
      def row(rows, name) = whole(name)&.then { |id| rows.find_by(id:) if id.between?(1, (2**63) - 1) }

      # The person it is about: by id, or a newcomer by the key under which they were added.
      def person
        added = NEWCOMER.match(text("person"))
        added ? studio.people.find_by(client_id: added[:key]) : row(studio.people, "person")
      end

      def slot = @slot ||= row(studio.slots, "slot")
    end
  end
end
