# frozen_string_literal: true

module App
  module Piece
    # Tempi typed a line each: "112", then "from 129: 96" (from count 129, 96 beats a minute).
    class TempoLines
      LINE = /\A
        (?:from\s+(?:count\s+)?(?<count>\d{1,5})\s*[:,]?\s+)?
        (?<bpm>\d{2,3}(?:\.\d{1,2})?)
        (?:\s*(?:bpm|beats\ a\ minute))?
      \z/ix
      attr_reader :error

      def self.render(changes)
        changes.map { |count, bpm| count == 1 ? plain(bpm) : "from #{count}: #{plain(bpm)}" }.join("\n")
      end

      def self.plain(bpm) = bpm == bpm.to_i ? bpm.to_i.to_s : bpm.to_s

      def initialize(text)
        @lines = text.to_s.lines.map(&:strip).reject(&:empty?)
        @error = find_error
      end

      # [[count, bpm], …]; 120 when nothing was typed.
      def changes
        found = @lines.map { |line| LINE.match(line) }.map { |m| [(m[:count] || 1).to_i, m[:bpm].to_f] }
        found.empty? ? [[1, 120.0]] : found.sort_by(&:first)
      end

      private

      def find_error
        bad = @lines.index { |line| !LINE.match?(line) }
        return I18n.t("music.faults.tempo_line", line: bad + 1, text: @lines[bad][0, 40]) if bad

        Core::Music::TempoMap.new(changes)
        nil
      rescue Core::ValueError => e
        I18n.t("music.faults.tempo", problem: e.message)
      end
    end
  end
end
