# frozen_string_literal: true

module App
  module Steps
    # The eights of a Steps form, as rows: [{counts:, text:, cue:, name:}, …]. A text that fills several eights ("//",
    # "x2", "in 6:", a pasted sheet) becomes as many rows.
    class TypedEights
      MOST = 200
      Row = Struct.new(:counts, :text, :cue, :name, keyword_init: true) do
        def core = Core::Piece::Row.new(counts: counts.clamp(1, 64), text:, cue:, name:)
      end

      def initialize(params, vocabulary: Core::Movement::Vocabulary::DEFAULT)
        @vocabulary = vocabulary
        given = params["rows"]
        @rows = given.is_a?(Hash) ? given.sort_by { |key, _| key.to_i }.map(&:last) : []
      end

      def rows = @rows.first(MOST).flat_map { |row| split(row) }

      # [{row: number, text:}] of what cannot be kept.
      def faults
        rows.each_with_index.filter_map do |row, i|
          problem =
            (:counts unless row.counts.between?(1, 64)) || (:long if row.text.length > 1000) ||
            (:cue if [row.cue, row.name].any? { |text| text.length > 80 })
          I18n.t("steps.faults.#{problem}", eight: i + 1) if problem
        end
      end

      private

      def split(row)
        text = row["text"].to_s.scrub("?").strip
        base =
          Row.new(
            counts: Integer(row["counts"].to_s, exception: false) || 8,
            text:,
            cue: row["cue"].to_s.strip,
            name: row["name"].to_s.strip
          )
        return [base] unless base.counts.between?(1, 64)

        eights = Core::Movement::TypedEights.of(text, counts: base.counts, vocabulary: @vocabulary)
        eights.each_with_index.map do |(counts, own), i|
          Row.new(counts:, text: own, cue: i.zero? ? base.cue : "", name: i.zero? ? base.name : "")
        end
      end
    end
  end
end
