# frozen_string_literal: true

module App
  module Piece
    # A new piece, its share-out, its music, putting it away.
    module Routes
      def self.registered(app)
        starting(app)
        showing(app)
        music(app)
        track(app)
      end

      def self.starting(app)
        app.allow(:director, get: "/pieces/new") { page "piece/new", Pages::New.new(studio) }
        app.allow :director, post: "/pieces/preview", takes: Shapes::LINES do
          beside
          headers "x-sequence" => params["sequence"].to_s[0, 12]
          erb :"piece/_structure_preview",
              layout: false,
              locals: { preview: Pages::StructurePreview.of(studio, params) }
        end
        app.allow :director, post: "/pieces", takes: Shapes::LINES do
          action = Actions::Create.new(member, params)
          next page("piece/new", Pages::New.new(studio, params, action.errors), status: 422) if action.errors.any?

          made = action.run
          say t("pieces.made", title: made.title), saved: request.path_info
          redirect "/pieces/#{made.id}"
        end
      end

      def self.showing(app)
        app.allow(:member, get: "/pieces/:piece") { page "piece/share_out", piece_page(Pages::ShareOut) }
        app.allow :director, post: "/pieces/:piece/archive", takes: { to: :text } do
          permit Policy, piece, :archive?
          piece.archive_or_restore(wanted?, Shared::Clock.now)
          say t(piece.archived? ? "pieces.archived" : "pieces.back", title: piece.title),
              undo: ("/pieces/#{piece.id}/archive?to=no" if piece.archived?)
          redirect "/"
        end
      end

      # The rehearsal track: a file of sound that the caller plays along with.
      def self.track(app)
        app.allow :member, get: "/pieces/:piece/track/:id" do
          permit Policy, piece, :see?
          upload = find(piece.uploads.tracks)
          beside
          headers "cache-control" => "private, max-age=86400"
          path = Shared::TrackFile.path(upload) || halt(404)
          send_file path, type: upload.type, disposition: :inline
        end
        app.allow :director, post: "/pieces/:piece/track", takes: Shapes::TRACK do
          permit Policy, piece, :direct?
          result = Actions::AttachTrack.new(piece, params["file"], account).run
          next page("piece/music", piece_page(Pages::Music, errors: result.errors), status: 422) unless result.ok?

          say t("music.track_attached", name: result.value.name)
          redirect "/pieces/#{piece.id}/music"
        end
        app.allow :director, post: "/pieces/:piece/track/:id/remove" do
          permit Policy, piece, :direct?
          Shared::RemoveUpload.new(find(piece.uploads.tracks)).run
          say t("music.track_removed")
          redirect "/pieces/#{piece.id}/music"
        end
      end

      # Any chain as a practice track.
      def self.practice(app)
        app.allow :member, get: "/pieces/:piece/practice.wav", takes: Shapes::PRACTICE do
          permit Policy, piece, :see?
          file = Shared::PracticeFile.new(Reading::PieceSnapshots.of(piece), params)
          result = file.run
          next page("piece/music", piece_page(Pages::Music, errors: result.errors), status: 422) unless result.ok?

          beside
          content_type "audio/wav"
          attachment file.name
          result.value
        end
      end

      def self.music(app)
        practice(app)
        app.allow(:member, get: "/pieces/:piece/music") { page "piece/music", piece_page(Pages::Music) }
        app.allow :director, post: "/pieces/:piece/music", takes: Shapes::MUSIC do
          permit Policy, piece, :direct?
          result = Actions::SaveMusic.new(piece, params, account).run
          unless result.ok?
            shown = piece_page(Pages::Music, typed: result.value, errors: result.errors)
            next page("piece/music", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          say(params["cut"] ? t("music.cut_taken", count: result.value) : t("music.saved"))
          redirect "/pieces/#{piece.id}/music"
        end
        app.allow :director, post: "/pieces/:piece/music/cut", takes: Shapes::MUSIC do
          permit Policy, piece, :direct?
          action = Actions::SaveMusic.new(piece, params, account)
          if action.faults.any?
            next page("piece/music", piece_page(Pages::Music, typed: action.form, errors: action.faults), status: 422)
          end

          page "piece/music_cut", piece_page(Pages::MusicCut, typed: action.form, track: action.cut_track)
        end
        app.allow :member, post: "/taps", takes: { taps: :numbers } do
          answer = Actions::TapTempo.new(params["taps"]).run
          json(answer.ok? ? answer.value : answer.errors, answer.ok? ? 200 : 422)
        end
      end
    end
  end
end
