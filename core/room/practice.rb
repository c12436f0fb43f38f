# frozen_string_literal: true

module Core
  module Room
    # A chain counted for practising: a count-in, every count at a percentage of the tempo, so many times with counts of
    # rest between, and another tone where one link goes over into the next.
    #
    #   Practice.new(score, from: 2, to: 3, speed: 60).clicks.first  # => at 0.0, kind :lead
    class Practice
      # at: seconds from the beginning of the track; kind: :lead (count-in or rest), :join (the first count of a link
      # that was come to from another), :first (of an eight) or :count.
      Click = Struct.new(:at, :kind, keyword_init: true)
      # at: seconds from the beginning of the track; text: the cue word to be said then.
      Word = Struct.new(:at, :text, keyword_init: true)
      # What may be asked for.
      SPEEDS = (30..130)
      TIMES = (1..20)

      # score: Score; from, to: indexes of links; speed: percent; times: how often; count_in, rest: beats before the
      # first time, and before each other one; to_row: the eight of the last link it ends with (nil: all of it).
      # Raises ValueError where a link is not there, or a figure is out of its range.
      def initialize(score, from:, to:, speed: 100, times: 1, count_in: Music::StartPoint::COUNT_IN, rest: 8,
                     to_row: nil)
        @score = score
        @links = score.links.select { |link| link.index.between?(from, to) }
        @speed = speed / 100.0
        @times = times
        @count_in = count_in
        @rest = rest
        @to_row = to_row
        check(from, to, speed)
      end

      # [Click], in order of time.
      def clicks = @clicks ||= (1..@times).flat_map { |time| once(time) }

      # [Word], each as often as it is danced.
      def words = @words ||= (1..@times).flat_map { |time| words_of(begins(time)) }

      # Seconds of the whole track, the last count included.
      def seconds = (@times * (danced + lead(@rest))) - lead(@rest) + lead(@count_in)

      private

      def check(from, to, speed)
        raise ValueError.new("links", "there is no chain from #{from} to #{to}") if @links.empty? || counts.empty?
        raise ValueError.new("speed", "must be #{SPEEDS} percent, got #{speed}") unless SPEEDS.cover?(speed)
        raise ValueError.new("times", "must be #{TIMES}, got #{@times}") unless TIMES.cover?(@times)
      end

      # [[second at tempo, kind], …] from the first count.
      def counts
        @counts ||= @links.flat_map.with_index do |link, place|
          own = last?(link) && @to_row ? link.counts.select { |count| count.eight <= @to_row } : link.counts
          own.each_with_index.map { |count, i| [count.seconds, kind(count, place, i)] }
        end
      end

      def last?(link) = link.equal?(@links.last)

      def kind(count, place, index)
        return :join if place.positive? && index.zero?

        count.first ? :first : :count
      end

      def beginning = counts.first.first

      # Where the music goes on after the last count that is counted.
      def ending
        last = @links.last
        following = @to_row && last.counts.find { |count| count.eight > @to_row }
        following ? following.seconds : last.ends
      end

      def danced = (ending - beginning) / @speed

      # Seconds of so many beats before the first link.
      def lead(beats) = @score.count_in(@links.first.index, beats) / @speed

      def once(time)
        beats = time == 1 ? @count_in : @rest
        from = begins(time)
        beat = beats.zero? ? 0.0 : lead(beats) / beats
        before = Array.new(beats) { |i| Click.new(at: from - lead(beats) + (i * beat), kind: :lead) }
        before + counts.map { |second, kind| Click.new(at: on_track(second, from), kind:) }
      end

      # When the first count sounds of one of the times.
      def begins(time) = lead(@count_in) + ((time - 1) * (danced + lead(@rest)))

      def on_track(second, from) = from + ((second - beginning) / @speed)

      def words_of(from)
        @links.flat_map do |link|
          link.cues.filter_map do |cue|
            second = second_of(link, cue.count)
            Word.new(at: on_track(second, from), text: cue.text) if second && second < ending
          end
        end
      end

      # When a count of a link sounds, fractions too; nil past its end.
      def second_of(link, count)
        whole = count.floor
        here = link.counts[whole - 1]&.seconds or return
        following = link.counts[whole]&.seconds || link.ends
        here + ((count - whole) * (following - here))
      end
    end
  end
end
