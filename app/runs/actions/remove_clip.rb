# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Takes a clip away: that there was one stays known, the file itself goes.
      class RemoveClip
        def initialize(upload)
          @upload = upload
        end

        def run
          @upload.update!(removed_at: Shared::Clock.now)
          file = Shared::ClipFile.kept(@upload)
          ActiveRecord.after_all_transactions_commit { file.delete }
        end
      end
    end
  end
end
