# frozen_string_literal: true

module App
  module Steps
    # A count sheet that was pasted or sent as a file, as the eights it becomes: in place of those of a section, or
    # after them.
    class PastedEights
      WAYS = %w[instead after].freeze
      LONGEST = 60_000

      attr_reader :text, :way

      # params: {"text", "file", "way"}. Raises Formats::FaultyFile for a workbook that cannot be read.
      def initialize(params)
        @text = Shared::SheetText.of(params)[0, LONGEST]
        @way = WAYS.include?(params["way"]) ? params["way"] : WAYS.first
      end

      def result = @result ||= Formats::CountSheet.parse(text)

      # {"1" => {"counts", "text", "cue", "name"}, …} as the Steps form sends them. section: Records::Section.
      def rows(section)
        kept = way == "after" ? section.eights.map { |eight| fields(eight) } : []
        [*kept, *result.rows.map { |row| fields(row) }].each_with_index.to_h { |row, i| [(i + 1).to_s, row] }
      end

      private

      def fields(row) = { "counts" => (row.counts || 8).to_s, "text" => row.text, "cue" => row.cue, "name" => row.name }
    end
  end
end
