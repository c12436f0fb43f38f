# frozen_string_literal: true

module Records
  # A run that was begun in the room: its kind, from which eight of which link to the end of which, at what percentage
  # of the tempo, with music or not. What became of it its steps say.
  class Run < Base
    include Said

    belongs_to :studio
    belongs_to :piece
    belongs_to :rehearsal
    belongs_to :slot, optional: true
    has_many :run_steps
    has_many :troubles
    has_many :notes
    has_many :uploads
    # What a row says beside who and when.
    SAID = %i[piece_id slot_id kind link_id row to_link_id speed music minute].freeze
    validates :kind, inclusion: { in: Core::Running::Kind::NAMES }
  end
end
