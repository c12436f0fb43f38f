# frozen_string_literal: true

module App
  module Spacing
    # What the forms about lines and the floor send.
    module Shapes
      SHOWN = { show: :text, moment: :text, who: :text, seen: :text }.freeze
      PARTS = { way: :text, step: :text, first: :text, lock_version: :whole, parts: :rows }.freeze
      MOMENT = { moment: :text, version: :whole }.freeze
      SPOTS = { **MOMENT, spots: :records }.freeze
      PATTERN = {
        **MOMENT,
        group: :text,
        pattern: :text,
        facing: :text,
        spacing: :text,
        per_line: :text,
        x: :text,
        y: :text
      }.freeze
    end
  end
end
