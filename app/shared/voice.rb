# frozen_string_literal: true

require "open3"
require "timeout"

module App
  module Shared
    # Cue words spoken, where a voice is installed on the machine (espeak-ng).
    module Voice
      COMMAND = "espeak-ng"
      LONGEST = 80
      # Seconds after which a word is given up.
      PATIENCE = 5
      KEPT = 300
      @said = {}
      @lock = Mutex.new

      module_function

      # Keeps nothing of what was said so far.
      def forget = @lock.synchronize { @said.clear }

      def installed?
        if @installed.nil?
          @installed = ENV["PATH"].to_s.split(":").any? do |dir|
            File.executable?(File.join(dir, COMMAND))
          end
        end
        @installed
      end

      # Text => 16-bit samples at Formats::PracticeTrack::RATE as bytes, or nil where nothing can say it.
      def say(text)
        return unless installed?

        words = text.to_s.gsub(/[[:cntrl:]]/, " ").strip[0, LONGEST]
        return if words.empty?

        @lock.synchronize { @said[words] } || keep(words, spoken(words))
      end

      def keep(words, sound)
        @lock.synchronize do
          @said.shift if @said.size >= KEPT
          @said[words] = sound
        end
      end

      def spoken(words)
        wave, status = Timeout.timeout(PATIENCE) do
          Open3.capture2(COMMAND, "--stdout", "-s", "190", stdin_data: words, binmode: true)
        end
        samples(wave) if status.success?
      rescue Timeout::Error, SystemCallError
        nil
      end

      # What sounds in a file of one channel, 16 bits and our own rate.
      def samples(wave)
        rate = wave.byteslice(24, 4).to_s.unpack1("V")
        data = wave.index("data".b)
        wave.byteslice((data + 8)..) if data && rate == Formats::PracticeTrack::RATE
      end
    end
  end
end
