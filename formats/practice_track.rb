# frozen_string_literal: true

module Formats
  # A practice track as a sound file (WAV, one channel, 16 bits): a click at each second that is asked for, its tone by
  # its kind. Clicks are written into silence, so that a long track takes no longer than copying it.
  module PracticeTrack
    RATE = 22_050
    # Hertz and loudness (0 to 1) by kind.
    TONES = { first: [1760.0, 0.9], count: [1175.0, 0.5], join: [2637.0, 0.95], lead: [880.0, 0.6] }.freeze
    # Seconds that a click sounds.
    CLICK = 0.05
    # Seconds of a track at most.
    MOST = 1800

    module_function

    # How loud a spoken word is beside the clicks.
    VOICE = 0.8

    # The file's bytes. clicks: anything with at (seconds) and kind, in any order; seconds: of the whole track; words:
    # [[second, samples as bytes of 16 bits], …] to be heard with them. Raises Core::ValueError for a track that is
    # too long.
    def render(clicks, seconds:, words: [])
      raise Core::ValueError.new("seconds", "must be at most #{MOST}, got #{seconds.round}") if seconds > MOST

      samples = ((seconds + CLICK) * RATE).ceil
      sound = "\0".b * (2 * samples)
      clicks.each { |click| put(sound, (click.at * RATE).round, wave(click.kind)) }
      words.each { |at, said| mix(sound, (at * RATE).round, said) }
      header(samples) + sound
    end

    def put(sound, sample, wave)
      room = sound.bytesize - (2 * sample)
      part = room < wave.bytesize ? wave.byteslice(0, [room, 0].max) : wave
      sound[2 * sample, part.bytesize] = part unless part.empty?
    end

    # What is there already stays to be heard.
    def mix(sound, sample, said)
      from = 2 * [sample, 0].max
      there = sound.byteslice(from, said.bytesize).to_s.unpack("s<*")
      both = there.zip(said.unpack("s<*")).map { |a, b| (a + (b.to_i * VOICE)).round.clamp(-32_768, 32_767) }
      sound[from, 2 * both.size] = both.pack("s<*") unless both.empty?
    end

    def wave(kind)
      @waves ||= {}
      @waves[kind] ||= begin
        hertz, loud = TONES.fetch(kind)
        Array.new((CLICK * RATE).to_i) { |i| sample(i, hertz, loud) }.pack("s<*").freeze
      end
    end

    # Loudest at once, and dying away within the click.
    def sample(index, hertz, loud)
      fading = Math.exp(-5.0 * index / (CLICK * RATE))
      (32_000 * loud * fading * Math.cos(2 * Math::PI * hertz * index / RATE)).round
    end

    def header(samples)
      bytes = 2 * samples
      ["RIFF", 36 + bytes, "WAVE", "fmt ", 16, 1, 1, RATE, 2 * RATE, 2, 16, "data", bytes].pack("a4Va4a4VvvVVvva4V")
    end
    private_class_method :put, :mix, :wave, :sample, :header
  end
end
