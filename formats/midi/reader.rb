# frozen_string_literal: true

module Formats
  module Midi
    # Reads tempi and markers of a file; everything else in it is counted and left out.
    class Reader
      MAX_BYTES = 4 * 1024 * 1024
      MAX_EVENTS = 200_000
      MOST_TEMPI = 400
      MOST_MARKERS = 200
      LONGEST = 120
      # Sung words, cues and other texts.
      WORDS = [MIDI::META_TEXT, MIDI::META_LYRIC, MIDI::META_CUE].freeze

      def initialize(bytes) = @bytes = bytes.to_s.b

      def read
        refuse "is no MIDI file" unless @bytes.start_with?("MThd".b)
        refuse "is larger than 4 MB" if @bytes.bytesize > MAX_BYTES
        @sequence = sequence
        refuse "counts its time in frames of film; save it with beats" unless @sequence.ppqn.between?(1, 32_767)
        refuse "holds too many events" if events.size > MAX_EVENTS
        answer
      end

      private

      def refuse(why) = raise(FaultyFile, ["the file: #{why}"])

      # Whatever the library trips over in a broken file: it is no MIDI file.
      def sequence
        found = MIDI::Sequence.new
        found.read(StringIO.new(@bytes))
        found
      rescue StandardError
        refuse "cannot be read as a MIDI file: it is cut off or broken"
      end

      def events = @events ||= @sequence.tracks.flat_map(&:events)
      def tempi = events.grep(MIDI::Tempo)

      def texts
        @texts ||= events.select { |event| event.is_a?(MIDI::MetaEvent) && event.meta_type == MIDI::META_MARKER }
      end

      def last_tick = events.map(&:time_from_start).max.to_i
      def beats(tick) = tick.fdiv(@sequence.ppqn)

      # The tick of count 1: where a marker says so, else the beginning.
      def first = @first ||= texts.find { |event| text(event).casecmp?(FIRST) }&.time_from_start || 0

      def answer
        whole = counted(0)
        danced = counted(first)
        refuse "has more than #{MOST_TEMPI} tempi" if danced.tempo.size > MOST_TEMPI
        start = whole.seconds_at(beats(first))
        Read.new(
          tempo: danced.tempo, first_count_seconds: start.round(2), markers:, moved: danced.moved, meter:,
          length_seconds: (whole.seconds_at(beats(last_tick)) if last_tick.positive?), left_out:
        )
      end

      # Tempi from a tick on; what holds there comes first.
      def counted(tick)
        changes = tempi.map { |event| [event.time_from_start, 60_000_000.0 / [event.tempo, 1].max] }.sort_by(&:first)
        before, after = changes.partition { |at, _| at <= tick }
        holding = before.last || [tick, 120.0]
        placed = [[tick, holding.last], *after].map { |at, bpm| [beats(at - tick), bpm] }
        Core::Music::CountedTempo.new(placed, beats: beats(last_tick - tick))
      end

      def markers
        found = texts.map { |event| [beats(event.time_from_start - first).round + 1, text(event)[0, LONGEST]] }
        found.reject { |count, text| count < 1 || text.empty? || text.casecmp?(FIRST) }.first(MOST_MARKERS)
      end

      def text(event)
        bytes = Array(event.data).grep(Integer).map { |byte| byte & 0xff }.pack("C*").force_encoding(Encoding::UTF_8)
        bytes = bytes.force_encoding(Encoding::Windows_1252).encode(Encoding::UTF_8, undef: :replace) unless
          bytes.valid_encoding?
        bytes.gsub(/[[:cntrl:]]/, " ").strip
      end

      # The first metre of eighths in threes.
      def meter
        compound = events.grep(MIDI::TimeSig).find { |event| event.data[1] == 3 && (event.data[0].to_i % 3).zero? }
        "#{compound.data[0]}/8" if compound
      end

      def left_out
        words = events.count { |event| event.is_a?(MIDI::MetaEvent) && WORDS.include?(event.meta_type) }
        { notes: events.grep(MIDI::NoteOn).count { |event| event.velocity.positive? }, words: }
          .reject { |_, count| count.zero? }
      end
    end
    private_constant :Reader
  end
end
