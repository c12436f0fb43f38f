# frozen_string_literal: true

module App
  module Shared
    # A chain of a piece as a practice track to download.
    class PracticeFile
      # asked: {"from", "to" (links), "speed" (percent), "times", "words" ("no" for
      # clicks alone)}; what is not asked for is the whole piece, once, at
      # tempo. to_row: the eight of the last link it ends with.
      def initialize(snapshot, asked, to_row: nil)
        @snapshot = snapshot
        @asked = asked
        @to_row = to_row
      end

      # Value: the bytes of a WAV file.
      def run
        practice = Core::Room::Practice.new(
          Core::Room::Score.new(@snapshot.work, danced: @snapshot.danced),
          from: number("from", 1), to: number("to", links.size), speed: number("speed", 100), times: number("times", 1),
          count_in: @snapshot.work.count_in, to_row: @to_row
        )
        Result.ok(Formats::PracticeTrack.render(practice.clicks, seconds: practice.seconds, words: said(practice)))
      rescue Core::ValueError => e
        Result.no({ practice: I18n.t("practice.faults.#{e.path}") })
      end

      # "smoke-to-swarm-60.wav"
      def name
        first, last = [number("from", 1), number("to", links.size)].map { |index| links[index - 1]&.name }
        words = [first, (last unless last == first), number("speed", 100)].compact.join("-")
        "#{words.downcase.gsub(/[^a-z0-9]+/, '-')}.wav"
      end

      private

      # Cue words, where they are wanted and something can say them.
      def said(practice)
        return [] if @asked["words"] == "no"

        practice.words.filter_map { |word| Voice.say(word.text)&.then { |sound| [word.at, sound] } }
      end

      def links = @snapshot.work.order.links

      # What is no number is none that is there.
      def number(name, otherwise)
        text = @asked[name].to_s
        text.empty? ? otherwise : Integer(text, 10, exception: false) || 0
      end
    end
  end
end
