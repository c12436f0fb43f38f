# frozen_string_literal: true

module Core
  module Music
    # Tempi as another program holds them, anywhere in the music, as tempi of counts: each change is moved to the
    # nearest beat, and the tempo between two changes is what keeps both of them at their second. Changes too small to
    # be danced are left out.
    #
    #   CountedTempo.new([[0.0, 120.0], [16.3, 90.0]], beats: 32).tempo  # => [[1, 120.0], [17, 90.0]]
    class CountedTempo
      # Beats a minute below which two tempi are the same.
      LEAST = 0.5
      RANGE = (20.0..400.0)

      # changes: [[beats from the first beat, beats a minute], …], in any order; beats: how long the music is.
      def initialize(changes, beats:)
        @changes = (changes.empty? ? [[0, 120]] : changes).sort_by(&:first)
        @beats = [beats, 1].max
      end

      # [[count from 1, beats a minute to a hundredth], …]
      def tempo
        @tempo ||= settled(places.each_with_index.map { |beat, i| [beat + 1, between(beat, places[i + 1] || last)] })
      end

      # How many changes did not lie on a beat.
      def moved = @changes.count { |beat, _| beat.positive? && (beat - beat.round).abs > 0.01 }

      # How many were left out: several at one beat, or hardly another tempo.
      def left_out = @changes.size - tempo.size

      # Seconds from the first beat to another one, by the changes as they came.
      def seconds_at(beat)
        starts = @changes.map(&:first)
        spans = @changes.each_with_index.map do |(from, bpm), i|
          first = i.zero? ? 0 : from
          till = [starts[i + 1] || beat, beat].min
          till > first ? (till - first) * 60.0 / bpm : 0
        end
        spans.sum
      end

      private

      # Beats on which a tempo begins, from 0.
      def places
        @places ||= [0, *@changes.map { |beat, _| beat.round }].select { |beat| beat >= 0 && beat < last }.uniq
      end

      def last = [@beats.ceil, @changes.map { |beat, _| beat.round }.max + 1].max

      def between(from, till)
        bpm = (till - from) * 60.0 / (seconds_at(till) - seconds_at(from))
        bpm.clamp(RANGE.min, RANGE.max).round(2)
      end

      def settled(found)
        found.each_with_object([]) do |(count, bpm), kept|
          kept << [count, bpm] if kept.empty? || (bpm - kept.last.last).abs >= LEAST
        end
      end
    end
  end
end
