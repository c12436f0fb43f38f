# frozen_string_literal: true

module App
  module Steps
    # What the forms about eights and words send.
    module Shapes
      ROWS = { lock_version: :whole, rows: :rows }.freeze
      VERSION = { **ROWS, note: :text, people: :table, groups: :table }.freeze
      PREVIEW = { **ROWS, section: :text, version: :text, sequence: :text }.freeze
      WORD = { name: :text, like: :text, counts: :text }.freeze
    end
  end
end
