# frozen_string_literal: true

module App
  module Runs
    # Clips of runs and of sections, who may be in them, and how they lie on the counts.
    module ClipRoutes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/clips") { page "runs/clips", piece_page(Pages::Clips) }
        app.allow :member, post: "/pieces/:piece/clips", takes: Shapes::CLIP do
          permit Piece::Policy, piece, :tick?
          result = Actions::AddClip.new(piece, account, params).run
          unless result.ok?
            next page("runs/clips", piece_page(Pages::Clips, typed: params, errors: result.errors), status: 422)
          end

          say t("clips.added", name: result.value.name)
          redirect "/pieces/#{piece.id}/clips/#{result.value.id}"
        end
        one(app)
        consents(app)
      end

      def self.one(app)
        app.allow :member, get: "/pieces/:piece/clips/:id", takes: { second: :text } do
          clip = find(piece.uploads.clips)
          page "runs/clip", piece_page(Pages::Clip, clip:, second: params["second"])
        end
        app.allow :member, get: "/pieces/:piece/clips/:id/file" do
          clip = find(piece.uploads.clips)
          halt 404 unless ClipPolicy.new(studio).seen?(clip)
          beside
          headers "cache-control" => "private, no-store"
          send_file(Shared::ClipFile.path(clip) || halt(404), type: clip.type, disposition: :inline)
        end
        app.allow :member, post: "/pieces/:piece/clips/:id/marks", takes: Shapes::MARK do
          permit Piece::Policy, piece, :tick?
          clip = find(piece.uploads.clips)
          result = Actions::MarkClip.new(clip, params).run
          say(result.ok? ? t("clips.laid") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/clips/#{clip.id}#{"?second=#{result.value}" if result.ok?}"
        end
        app.allow :member, post: "/pieces/:piece/clips/:id/remove" do
          permit Piece::Policy, piece, :tick?
          Shared::RemoveUpload.new(find(piece.uploads.clips)).run
          say t("clips.removed")
          redirect "/pieces/#{piece.id}/clips"
        end
      end

      def self.consents(app)
        app.allow :member, post: "/pieces/:piece/clips/consents", takes: Shapes::CONSENT do
          permit Piece::Policy, piece, :tick?
          result = Actions::KeepConsent.new(piece, account, params, today).run
          say(result.ok? ? t("clips.consent_kept", name: result.value.person.name) : result.errors.values.first)
          redirect "/pieces/#{piece.id}/clips#consents"
        end
        app.allow :member, post: "/pieces/:piece/clips/consents/:id/withdraw" do
          permit Piece::Policy, piece, :tick?
          consent = find(studio.consents.standing)
          consent.update!(withdrawn_at: Shared::Clock.now, withdrawn_by: account.name)
          say t("clips.consent_withdrawn", name: consent.person.name)
          redirect "/pieces/#{piece.id}/clips#consents"
        end
      end
    end
  end
end
