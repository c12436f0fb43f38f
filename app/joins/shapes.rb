# frozen_string_literal: true

module App
  module Joins
    # What the forms about joins, and about a piece's two ends, send.
    module Shapes
      MEND = { n: :text, state: :text, here: :text, lock_version: :whole }.freeze
      AGREEMENT = { words: :text, withdraw: :text, seen: :text }.freeze
      ANSWER = { question: :text, answer: :text, back: :text, lock_version: :whole }.freeze
      CHECKING = {
        was: :text, steady: :text, unwritten: :text, **Core::Piece::Checking::CHOICES.to_h { |state| [state, :text] }
      }.freeze
      FACTS = { owner: :text, note: :text, was: :text }.freeze
      ENDS = {
        was: :text,
        held: :text,
        pose: :text,
        starts: :text,
        place: :text,
        picture: :text,
        leaves: :text,
        **Records::Section::EDGE.to_h { |name, _| [name.to_sym, :text] }
      }.freeze
    end
  end
end
