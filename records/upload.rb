# frozen_string_literal: true

module Records
  # A file that somebody attached. What is in it is kept by the files library; here stands where.
  class Upload < Base
    belongs_to :studio
    belongs_to :piece
    scope :tracks, -> { where(kind: "track", removed_at: nil).order(:id) }

    def name = file_data.dig("metadata", "filename").to_s
    def type = file_data.dig("metadata", "mime_type").to_s
  end
end
