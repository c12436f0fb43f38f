# frozen_string_literal: true

module Formats
  # A table on its way out: name; columns: headings; rows: lists of texts, numbers, dates (Date) and nil.
  Table = Struct.new(:name, :columns, :rows, keyword_init: true)
end
