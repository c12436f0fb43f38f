# frozen_string_literal: true

module Records
  # A file that somebody attached. What is in it is kept by the files library; here stands where.
  class Upload < Base
    # From where a clip for reference was filmed.
    SIDES = %w[front behind].freeze

    belongs_to :studio
    belongs_to :piece
    belongs_to :section, optional: true
    belongs_to :run, optional: true
    has_many :clip_people, class_name: "Records::ClipPerson"
    has_many :people, through: :clip_people
    scope :tracks, -> { where(kind: "track", removed_at: nil).order(:id) }
    # Days a clip for review waits, at most.
    REVIEW_DAYS = 14
    # Clips a dancer sent to be reviewed.
    scope :reviews, -> { where(kind: "review", removed_at: nil).order(:id) }
    # Clips of runs, and of sections for reference.
    scope :clips, -> { where(kind: %w[clip reference], removed_at: nil).order(:id) }

    def name = file_data.dig("metadata", "filename").to_s
    def type = file_data.dig("metadata", "mime_type").to_s
  end
end
