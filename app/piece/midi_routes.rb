# frozen_string_literal: true

module App
  module Piece
    # The music as MIDI: tempi, markers and a click out; tempi and markers in, into the form. And a tempo heard in the
    # rehearsal track.
    module MidiRoutes
      def self.registered(app)
        app.allow :member, get: "/pieces/:piece/music.mid" do
          permit Policy, piece, :see?
          beside
          content_type "audio/midi"
          attachment Shared::TableFile.name([piece.title], "mid")
          MidiFile.new(Reading::PieceSnapshots.of(piece).work).bytes
        end
        app.allow :director, post: "/pieces/:piece/music/midi", takes: { file: :upload } do
          permit Policy, piece, :direct?
          file = params["file"]
          halt 422, page("piece/music", piece_page(Pages::Music, errors: no_midi)) unless file.is_a?(Hash)

          midi = MidiForm.new(piece, file[:tempfile].read)
          page "piece/music", piece_page(Pages::Music, typed: midi.form, report: midi.report)
        rescue Formats::FaultyFile => e
          why = e.faults.first.delete_prefix("the file: ")
          shown = piece_page(Pages::Music, errors: { midi: t("music.midi.not_read", why:) })
          page "piece/music", shown, status: 422
        end
        app.helpers Asked
        app.allow :member, post: "/onsets", takes: { onsets: :numbers } do
          heard = Actions::HearTempo.new(params["onsets"]).run
          json(heard.ok? ? heard.value : heard.errors, heard.ok? ? 200 : 422)
        end
      end

      # What is said where no file came.
      module Asked
        def no_midi = { midi: t("music.midi.none") }
      end
    end
  end
end
