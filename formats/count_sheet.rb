# frozen_string_literal: true

module Formats
  # A count sheet as people keep it elsewhere: lines of text, or rows of a spreadsheet (with tabs), one eight each. A
  # row has its counts in columns (1 to 8 over them, or as many cells), or a column for the movement beside those for
  # counts, cue and name.
  module CountSheet
    # line: where it stands in what was pasted; counts: nil where nothing says how many.
    Row = Struct.new(:line, :counts, :text, :cue, :name, keyword_init: true)
    # rows: [Row]; left_out: [[line, text, a word for why]].
    Result = Struct.new(:rows, :left_out, keyword_init: true)

    # Text or a file's bytes => Result. Nothing is raised: every line that is not empty is a row or is left out.
    def self.parse(source) = Reader.new(source).result
  end
end

require_relative "count_sheet/reader"
require_relative "count_sheet/columns"
