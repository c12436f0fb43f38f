# frozen_string_literal: true

module Records
  # A question that waits for nothing: it is looked at in the room, or left open.
  class Aside < Base
    WAYS = %w[room open].freeze
    belongs_to :studio
    belongs_to :piece
    validates :question, presence: true, length: { maximum: 200 }
    validates :way, inclusion: { in: WAYS }
  end
end
