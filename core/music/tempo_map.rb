# frozen_string_literal: true

module Core
  module Music
    # Where in the music a beat falls. Beats are numbered from 1; a tempo holds from its beat to the next change.
    #
    #   map = TempoMap.new([[1, 120], [17, 60]], first_seconds: 2.0)
    #   map.seconds_at(17)  # => 10.0
    #   map.beat_at(10.0)   # => 17.0
    class TempoMap
      Stretch = Struct.new(:from_beat, :bpm, :starts)
      private_constant :Stretch

      # changes: [[from_beat, beats a minute], …]; first_seconds: when beat 1 sounds.
      # Raises ValueError for a tempo outside 20..400, for no tempo, or for two at one beat.
      def initialize(changes, first_seconds: 0)
        @first_seconds = first_seconds.to_r
        @stretches = build(check(changes)).freeze
        freeze
      end

      # Seconds from the start of the recording to a beat (beats may be fractional, and before the first).
      def seconds_at(beat)
        stretch = @stretches.reverse_each.find { |s| s.from_beat <= beat } || @stretches.first
        (stretch.starts + ((beat.to_r - stretch.from_beat) * 60 / stretch.bpm)).to_f
      end

      # The beat (fractional) that sounds at a second: the inverse of seconds_at.
      def beat_at(seconds)
        at = seconds.to_r
        stretch = @stretches.reverse_each.find { |s| s.starts <= at } || @stretches.first
        (stretch.from_beat + ((at - stretch.starts) * stretch.bpm / 60)).to_f
      end

      # Beats a minute at a beat.
      def bpm_at(beat) = (@stretches.reverse_each.find { |s| s.from_beat <= beat } || @stretches.first).bpm.to_f

      # Seconds between two beats, danced at a share of the tempo (0.6 is slow).
      def seconds_between(from_beat, to_beat, speed: 1) = (seconds_at(to_beat) - seconds_at(from_beat)) / speed

      # [[beat from 1, beats a minute], …] where the tempo is set.
      def changes = @stretches.map { |s| [s.from_beat, s.bpm.to_f] }

      private

      def check(changes)
        raise ValueError.new("tempo", "needs at least one tempo, got none") if changes.empty?

        sorted = changes.sort_by(&:first)
        sorted.each_with_index { |(beat, bpm), i| check_one(i, beat, bpm) }
        raise ValueError.new("tempo", "two tempi start at one count") if sorted.map(&:first).uniq.size < sorted.size

        sorted
      end

      def check_one(index, beat, bpm)
        raise ValueError.new("tempo[#{index}].from_count", "must be 1 or more, got #{beat}") if beat < 1
        return if bpm.between?(20, 400)

        raise ValueError.new("tempo[#{index}].bpm", "must be 20 to 400 beats a minute, got #{bpm}")
      end

      def build(changes)
        starts = @first_seconds
        beat = 1r
        bpm = changes.first.last.to_r
        changes.map do |from, tempo|
          starts += (from - beat) * 60 / bpm
          beat = from.to_r
          Stretch.new(beat, bpm = tempo.to_r, starts).freeze
        end
      end
    end
  end
end
