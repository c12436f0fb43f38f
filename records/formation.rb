# frozen_string_literal: true

module Records
  # Where everybody stands at one moment of a link: as it begins, as it ends, or on a count within.
  class Formation < Base
    MOMENTS = %w[entry exit count].freeze

    belongs_to :studio
    belongs_to :piece
    belongs_to :link
    has_many :spots, dependent: :delete_all
    validates :moment, inclusion: { in: MOMENTS }
  end
end
