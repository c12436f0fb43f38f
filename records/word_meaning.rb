# frozen_string_literal: true

module Records
  # What a word nobody knows does to the feet of whoever is taught by this teacher: answered once, by one tap.
  class WordMeaning < Base
    belongs_to :studio
    belongs_to :teacher, class_name: "Records::Person", optional: true
    validates :word, presence: true, length: { maximum: Core::Movement::Meaning::MOST_LETTERS }
    validates :effect, inclusion: { in: Core::Movement::Meaning::EFFECTS.map(&:to_s) }
    scope :holding, -> { where(undone_at: nil) }

    # As the core knows steps.
    def step = Core::Movement::Meaning.step(word, effect.to_sym)
  end
end
