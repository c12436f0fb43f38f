# frozen_string_literal: true

module Records
  # A rehearsal plan of one piece. Published ones are what people were told; they are kept.
  class Plan < Base
    belongs_to :studio
    belongs_to :piece
    has_many :slots, -> { order(:start_minute, :id) }
    def published? = !published_at.nil?
  end
end
