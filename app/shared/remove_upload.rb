# frozen_string_literal: true

module App
  module Shared
    # Takes a file away that somebody attached: that there was one stays known, the file itself goes.
    class RemoveUpload
      def initialize(upload)
        @upload = upload
      end

      def run
        @upload.update!(removed_at: Clock.now)
        file = files.kept(@upload)
        ActiveRecord.after_all_transactions_commit { file.delete }
      end

      private

      def files = @upload.kind == "track" ? TrackFile : ClipFile
    end
  end
end
