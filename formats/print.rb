# frozen_string_literal: true

require "prawn"
require "prawn/table"
require "prawn-svg"
require_relative "formats"

module Formats
  # Sheets on paper, as PDF: made of blocks one below the other, black on white, with the fonts inside. A sheet is a
  # plain value, so that what stands on it is known without reading a PDF.
  module Print
    PAPERS = { "a4" => "A4", "letter" => "LETTER" }.freeze
    # What a table's column is: its heading, its share of the width, where its words stand.
    Column = Struct.new(:heading, :share, :align, keyword_init: true)

    # title; lines: what stands under it; blocks: in order; foot: at the foot of every page beside its number; wide:
    # whether the paper lies on its side.
    Sheet = Struct.new(:title, :lines, :blocks, :foot, :wide, keyword_init: true) do
      # Every text of the sheet, for whoever checks what stands there.
      def texts = [title, *lines, *blocks.flat_map(&:texts), foot].compact.map(&:to_s)
    end

    # Sheet => bytes. paper: a key of PAPERS; fonts: {regular:, bold:, other:} paths of TrueType files, other for
    # letters the first have not.
    def self.render(sheet, paper:, fonts:) = Document.new(sheet, paper:, fonts:).render
  end
end

require_relative "print/blocks"
require_relative "print/table"
require_relative "print/eight"
require_relative "print/grid"
require_relative "print/document"
