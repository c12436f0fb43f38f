# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Attaches a file of sound to a piece, in place of the one before.
      class AttachTrack
        # file: as a form sends it, {"filename", "tempfile"}.
        def initialize(piece, file, account)
          @piece = piece
          @file = file
          @account = account
        end

        # Value: the Records::Upload.
        def run
          return no("track_none") unless @file.is_a?(Hash)

          looked = Shared::TrackFile.look(@file["tempfile"])
          return no("track_kind", type: looked.type.empty? ? "?" : looked.type) if looked.stop

          made = Shared::TrackFile.stripped(@file["tempfile"].path, looked.codec) { |sound| keep(sound) }
          made ? Shared::Result.ok(made) : no("track_kind", type: looked.type)
        end

        private

        def no(key, **words) = Shared::Result.no({ track: I18n.t("music.#{key}", **words) })
        def name = Shared::FileName.of(@file["filename"]) || "track"

        def keep(sound)
          kept = Shared::TrackFile.upload(sound, :store, metadata: { "filename" => name })
          before = @piece.uploads.tracks.to_a
          made = @piece.uploads.create!(
            studio_id: @piece.studio_id, kind: "track", file_data: kept.data, by_name: @account.name,
            created_at: Shared::Clock.now
          )
          before.each { |upload| Shared::RemoveUpload.new(upload).run }
          made
        end
      end
    end
  end
end
