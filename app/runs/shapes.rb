# frozen_string_literal: true

module App
  module Runs
    # What forms about runs, notes and clips send.
    module Shapes
      TROUBLE = { kind: :text, whose: :text, people: :texts }.freeze
      DRILL = { from: :text, to: :text, repetitions: :text, people: :text, because: :text }.freeze
      NOTE = { text: :text, kind: :text, about: :text, link: :text, eight: :text, count: :text, run: :text }.freeze
      CLIP = { file: :upload, of: :text, side: :text, people: :texts }.freeze
      CONSENT = { person: :text, by: :text, given_on: :text }.freeze
      MARK = { link: :text, eight: :text, count: :text, second: :text }.freeze
    end
  end
end
