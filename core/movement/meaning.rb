# frozen_string_literal: true

module Core
  module Movement
    # What a word does to the body, as its teacher answered once: a step made of one tap.
    #
    #   Meaning.step("weathervane", :left)  # => Step, after which the left foot bears the weight
    module Meaning
      # nothing: it stays as it was; left, right: that foot bears the weight; changes: the other foot does; floor: it
      # goes down.
      EFFECTS = %i[nothing left right changes floor].freeze
      MOST_WORDS = 4
      MOST_LETTERS = 40

      module_function

      # word: as typed; effect: one of EFFECTS => Step.
      def step(word, effect)
        facts = {
          nothing: { layer: :body },
          left: { weights: [:left] },
          right: { weights: [:right] },
          changes: { weights: [:lead] },
          floor: { weights: [:floor], level: :floor, hazards: %w[floor_work] }
        }.fetch(effect)
        Step.new(name: word, **facts)
      end

      # The word of a move that nobody knows, as it is remembered; nil where it is more than a word.
      def word(move)
        text = Vocabulary.fold(move.text)
        text if text.split.size.between?(1, MOST_WORDS) && text.size <= MOST_LETTERS && text.match?(/[a-z]/)
      end
    end
  end
end
