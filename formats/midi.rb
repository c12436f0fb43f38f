# frozen_string_literal: true

require "midilib/sequence"
require "midilib/consts"
require "stringio"
require_relative "formats"
require_relative "midi/reader"

module Formats
  # Standard MIDI files: tempo map, markers and a click out; tempo map and markers in. With midilib.
  module Midi
    TICKS = 480
    # Percussion: high and low wood block.
    CHANNEL = 9
    HIGH = 76
    LOW = 77
    # Stands at count 1, so that a reader finds it whatever comes before.
    FIRST = "count 1"

    # Ticks from the file's beginning; kind: :link, :eight or :count.
    Click = Struct.new(:beat, :kind, keyword_init: true)
    # tempo: [[count, bpm]]; first_count_seconds; length_seconds; markers: [[count, text]]; left_out: {word for what =>
    # how much of it}; moved: how many tempi did not lie on a beat; meter: "6/8" where a beat may be a dotted quarter.
    Read = Struct.new(:tempo, :first_count_seconds, :length_seconds, :markers, :left_out, :moved, :meter,
                      keyword_init: true)

    # Bytes => Read. Raises FaultyFile.
    def self.parse(bytes) = Reader.new(bytes).read

    # track: Core::Music::Track; markers: [[beat from 1, text]]; clicks: [Click]; title => bytes.
    def self.render(track:, markers:, clicks:, title:)
      sequence = MIDI::Sequence.new
      sequence.ppqn = TICKS
      lead = (track.first_count_seconds * track.map.bpm_at(1) / 60 * TICKS).round
      lead = 0 if lead.negative?
      add(sequence, [[0, name_event(title)], *tempi(track, lead), *texts([[1, FIRST], *markers], lead)])
      add(sequence, clicks.flat_map { |click| strike(click, lead) })
      out = StringIO.new("".b)
      sequence.write(out)
      out.string
    end

    def self.tick(beat, lead) = lead + ((beat - 1) * TICKS).round
    def self.name_event(title) = MIDI::MetaEvent.new(MIDI::META_SEQ_NAME, title.b.bytes)

    def self.tempi(track, lead)
      track.map.changes.map do |beat, bpm|
        [beat == 1 ? 0 : tick(beat, lead), MIDI::Tempo.new((60_000_000 / bpm).round)]
      end
    end

    def self.texts(markers, lead)
      markers.map { |beat, text| [tick(beat, lead), MIDI::MetaEvent.new(MIDI::META_MARKER, text.b.bytes)] }
    end

    def self.strike(click, lead)
      at = tick(click.beat, lead)
      note = click.kind == :count ? LOW : HIGH
      force = { link: 120, eight: 100, count: 75 }.fetch(click.kind)
      [[at, MIDI::NoteOn.new(CHANNEL, note, force)], [at + (TICKS / 4), MIDI::NoteOff.new(CHANNEL, note, 0)]]
    end

    def self.add(sequence, placed)
      track = MIDI::Track.new(sequence)
      placed.each do |at, event|
        event.time_from_start = at
        track.events << event
      end
      track.recalc_delta_from_times
      sequence.tracks << track
    end
    private_class_method :tick, :name_event, :tempi, :texts, :strike, :add
  end
end
