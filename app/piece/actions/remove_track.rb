# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Takes a file of sound away: that there was one stays known, the file itself goes.
      class RemoveTrack
        def initialize(upload)
          @upload = upload
        end

        def run
          @upload.update!(removed_at: Shared::Clock.now)
          file = Shared::TrackFile.kept(@upload)
          ActiveRecord.after_all_transactions_commit { file.delete }
        end
      end
    end
  end
end
