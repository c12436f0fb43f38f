# frozen_string_literal: true

module App
  module Learning
    # What the forms and scripts of Who has it send.
    module Shapes
      # One cell of a form, or cells of a script with its own key.
      TICKS = {
        cells: :texts,
        person: :text,
        item: :text,
        rung: :whole,
        kind: :text,
        strand: :text,
        client: :text
      }.freeze
      GRID = { group: :text, page: :text, sort: :text, strand: :text }.freeze
      CELL = { person: :text, item: :text, strand: :text, bare: :text }.freeze
      SIGN_OFF = { item: :text, people: :texts, answer: :text }.freeze
      HAND_OVER = { person: :text, member: :text, until: :text }.freeze
      OVERRULE = { kind: :text, reason: :text }.freeze
      UNDERSTUDY = { person: :text, covers: :text }.freeze
      NEXT = { minutes: :text, room: :text, rehearsal: :text }.freeze
    end
  end
end
