# frozen_string_literal: true

module App
  module Piece
    # The music's own form, a line each: "intro 16", "verse 32 counts", "chorus 4 eights".
    class FormLines
      LINE = /\A(?<name>.+?)[\s,:]+(?<length>\d.*)\z/
      MOST = 100
      attr_reader :error, :parts

      def self.render(parts) = parts.map { |name, counts| "#{name} #{counts}" }.join("\n")

      def initialize(text)
        @lines = text.to_s.lines.map(&:strip).reject(&:empty?)
        @parts = @lines.map { |line| part(line) }
        @error = find_error
      end

      private

      def part(line)
        match = LINE.match(line) or return
        counts = match[:length].match?(/\A\d+\z/) ? match[:length].to_i : said(match[:length])
        [match[:name][0, 40], counts] if counts&.between?(1, 4000)
      end

      def said(text)
        Core::Piece::LengthText.parse(text)&.then { |rows| rows.sum if rows.size <= Core::Piece::LengthText::MOST }
      end

      def find_error
        return I18n.t("music.faults.form_many", most: MOST) if @parts.size > MOST

        bad = @parts.index(nil)
        I18n.t("music.faults.form_line", line: bad + 1, text: @lines[bad][0, 40]) if bad
      end
    end
  end
end
