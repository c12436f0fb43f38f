# frozen_string_literal: true

module Core
  module Music
    # The tempo of a recording from where its sounds begin: an envelope of how much louder it became, a hundred values a
    # second. The period is the lag at which the envelope is most like itself some beats later, with a leaning to tempi
    # that people count (a normal curve over octaves around 112, as in the perception of pulse: van Noorden and Moelants
    # 1999); then it is made finer over longer and longer lags. Whether people count half or double of it nobody can
    # hear from an envelope: that is asked.
    #
    #   OnsetTempo.new(envelope).bpm  # => 118.0
    class OnsetTempo
      # Values a second.
      RATE = 100
      # Beats a minute that are looked among.
      RANGE = (56..190)
      # Seconds that are needed, and that are listened to.
      LEAST = 8
      MOST = 90
      LEANS_TO = 112.0
      OCTAVES = 1.2
      # How far apart periods are that are tried, and over how many beats each.
      STEP = 1.005
      BEATS = [1, 3, 5, 7].freeze
      # What a tempo can be counted as, and how near another way of hearing it has to be.
      COUNTED = (30..260)
      NEARLY = 0.6
      # Below this likeness to itself there is no pulse.
      PULSE = 0.1

      # onsets: [number from 0], RATE a second from the beginning. Raises ValueError for less than LEAST seconds, for a
      # value that is none, or where nothing sounds.
      def initialize(onsets)
        kept = onsets.first(MOST * RATE)
        raise ValueError.new("onsets", "needs at least #{LEAST} seconds") if kept.size < LEAST * RATE
        raise ValueError.new("onsets", "must be numbers from 0") unless kept.all? { |each| sound?(each) }
        raise ValueError.new("onsets", "is silent") unless kept.any?(&:positive?)

        smooth = smoothed(kept)
        mean = smooth.sum.fdiv(smooth.size)
        @onsets = smooth.map { |each| each - mean }
        @power = @onsets.sum { |each| each * each } / @onsets.size
      end

      # Whether there is a pulse at all.
      def found? = over_beats(period) >= PULSE

      # Beats a minute, to a tenth.
      def bpm = told(period)

      # [beats a minute], the best first: what else it may be counted as. Half and double of it always; three to two
      # where the envelope says that nearly as well.
      def choices
        thirds = [period * 1.5, period / 1.5].select { |each| over_beats(each) >= NEARLY * over_beats(period) }
        ways = [bpm, (bpm / 2).round(1), (bpm * 2).round(1), *thirds.map { |each| told(finer(each)) }]
        ways.select { |each| COUNTED.cover?(each) }
      end

      # How alike the envelope is to itself a beat later, 0 to 1.
      def clear = likeness(period).clamp(0.0, 1.0).round(2)

      # The second of the first beat: the place in a beat on which most of the sound begins.
      def first_beat
        steps = (0...period.floor).to_a
        (steps.max_by { |step| [strength(step), -step] } / RATE.to_f).round(2)
      end

      private

      # Nobody plays to a hundredth of a second: a value is heard two before and after it, too.
      def smoothed(values)
        Array.new(values.size) do |i|
          (values[i] * 3) + ((at(values, i - 1) + at(values, i + 1)) * 2) + at(values, i - 2) + at(values, i + 2)
        end
      end

      def at(values, index) = index.negative? ? 0 : values[index] || 0

      def sound?(each) = each.is_a?(Numeric) && each.finite? && !each.negative?

      # Values between two beats.
      def period = @period ||= finer(coarse)

      # The best of periods half a percent apart.
      def coarse
        shortest = 60.0 * RATE / RANGE.max
        steps = (Math.log(RANGE.max.fdiv(RANGE.min)) / Math.log(STEP)).floor
        (0..steps).map { |step| shortest * (STEP**step) }.max_by { |each| weight(each) * over_beats(each) }
      end

      # What comes one, three, five and seven beats later is like this one: of one and a half beats, all these would
      # fall between two.
      def over_beats(period) = BEATS.sum { |beats| likeness((period * beats).round) } / BEATS.size

      def weight(period)
        octaves = Math.log2(60.0 * RATE / period / LEANS_TO)
        Math.exp(-0.5 * ((octaves / OCTAVES)**2))
      end

      # The same period over 2, 4, 8 and 16 beats, where a tenth of a value is heard.
      def finer(lag)
        [2, 4, 8, 16].reduce(lag.to_f) do |found, beats|
          middle = (found * beats).round
          break found if middle > @onsets.size / 2

          near = ((middle - 2)..(middle + 2)).max_by { |each| likeness(each) }
          near.fdiv(beats)
        end
      end

      # How alike the envelope is to itself so many values later: 1 for the same.
      def likeness(lag)
        @likeness ||= {}
        @likeness[lag.round] ||= begin
          whole = lag.round
          count = @onsets.size - whole
          count < RATE ? 0.0 : (0...count).sum { |i| @onsets[i] * @onsets[i + whole] } / count / @power
        end
      end

      def told(each) = (60.0 * RATE / each).round(1)

      # How much sound begins on a step of every beat.
      def strength(step)
        beats = ((@onsets.size - 1 - step) / period).floor
        (0..beats).sum { |beat| @onsets[(step + (beat * period)).round] || 0 }.fdiv(beats + 1)
      end
    end
  end
end
