# frozen_string_literal: true

module Core
  module Running
    # A filmed run laid on the counts. Each mark says: at this second of the clip it is this second of the music (at
    # tempo); from there on the clip goes on at the speed that was danced. One mark does for a run without a stop; after
    # a stop another one lays what follows.
    #
    #   ClipClock.new([Mark.new(clip: 12.5, music: 0.0)]).clip_second(30.0)  # => 42.5
    class ClipClock
      Mark = Struct.new(:clip, :music, keyword_init: true)

      # marks: [Mark]; speed: percentage of the tempo that was danced; length: seconds of the clip, or nil.
      def initialize(marks, speed: 100, length: nil)
        @marks = marks.sort_by(&:clip)
        @rate = speed / 100.0
        @length = length
      end

      # Whether it is laid on anything.
      def laid? = @marks.any?

      # The second of the clip at which a second of the music is heard, by the last mark that does not lie after it (by
      # the first where all do); nil where it is not laid, or lies outside the clip.
      def clip_second(music)
        mark = @marks.reverse.find { |each| each.music <= music } || @marks.first or return
        second = mark.clip + ((music - mark.music) / @rate)
        second if second >= 0 && (@length.nil? || second <= @length)
      end

      # The second of the music at a second of the clip, by the last mark before it.
      def music_second(clip)
        mark = @marks.reverse.find { |each| each.clip <= clip } || @marks.first or return
        mark.music + ((clip - mark.clip) * @rate)
      end
    end
  end
end
