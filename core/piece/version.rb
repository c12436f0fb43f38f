# frozen_string_literal: true

module Core
  module Piece
    # A version of a section: eights that stand in for others. It never changes the counts and counts fully.
    # eights: {4 => "1-8 arms circle"}; an eight that is not named, or empty, is danced as taught.
    #
    #   Version.new(kind: "seated", eights: { 1 => "1-8 wheel" }).of(section).counts == section.counts  # => true
    class Version < Values::Value.of(:kind, eights: {}.freeze)
      # Where somebody begins who sits.
      SEATED = { weight: :seated, level: :seated }.freeze
      private_constant :SEATED

      # The section as danced in this version, its stated edges left out: they are those of the taught one. A seated
      # line begins seated.
      def of(section)
        rows = section.rows.each_with_index.map { |row, i| (text = eights[i + 1].to_s).empty? ? row : row.with(text:) }
        section.with(rows:, entry: kind == "seated" ? SEATED : {}.freeze, exit: {}.freeze)
      end

      # Numbers of the eights that differ, in order.
      def touched = eights.reject { |_, text| text.empty? }.keys.sort
    end
  end
end
