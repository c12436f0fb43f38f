# frozen_string_literal: true

module App
  module Rehearsals
    # What the form of new rehearsals sends.
    module Shapes
      ROOM = { room: :text, capacity: :text, area: :text, everywhere: :text, steps: :text }.freeze
      CHANGE = { date: :text, start: :text, end: :text, rooms: :texts, kind: :text, lock_version: :whole }.freeze
      REHEARSALS = {
        start: :text,
        end: :text,
        first: :text,
        last: :text,
        days: :texts,
        single: :text,
        rooms: :texts,
        room: :text,
        capacity: :text
      }.freeze
    end
  end
end
