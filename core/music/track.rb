# frozen_string_literal: true

module Core
  module Music
    # The recording a piece is danced to: tempo map, length and its own form.
    # form: [[name, counts], …] as the music goes (intro, verse …), or empty when nobody wrote it down.
    class Track < Values::Value.of(tempo: [[1, 120]], first_count_seconds: 0, length_seconds: nil, form: [].freeze)
      attr_reader :map

      # First and last count of each part of the music's form: [[name, from, to], …], counts inclusive.
      def parts
        at = 1
        form.map do |name, counts|
          from = at
          at += counts
          [name, from, at - 1]
        end
      end

      private

      def settle = @map = TempoMap.new(tempo, first_seconds: first_count_seconds)
    end
  end
end
