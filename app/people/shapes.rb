# frozen_string_literal: true

module App
  module People
    # What the forms about people send.
    module Shapes
      PERSON = { name: :text, dances: :text, teaches: :text, adult: :text, band: :text, wheels: :text, needs: :text,
                 comes_with: :text,
                 tape: :text, rings: :text,
                 lock_version: :whole }.freeze
      # name: typed again; seen: of the sentences looked at; take: keys of those that go.
      ERASING = { name: :text, seen: :text, take: :texts }.freeze
      ABSENCE = { from_date: :text, to_date: :text, from: :text, to: :text }.freeze
    end
  end
end
