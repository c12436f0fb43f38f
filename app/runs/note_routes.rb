# frozen_string_literal: true

module App
  module Runs
    # The notes round of a piece.
    module NoteRoutes
      def self.registered(app)
        app.allow :member, get: "/pieces/:piece/notes", takes: { run: :text } do
          page "runs/notes", piece_page(Pages::Notes, run_id: number(params["run"]))
        end
        app.allow :member, get: "/pieces/:piece/notes.pdf", takes: { run: :text, paper: :text } do
          send_paper(piece_page(Pages::NotesPaper, run_id: number(params["run"])).paper, piece.title, "notes")
        end
        app.allow :member, post: "/pieces/:piece/notes", takes: Shapes::NOTE do
          permit Piece::Policy, piece, :tick?
          result = Actions::WriteNote.new(piece, account, params).run
          unless result.ok?
            shown = piece_page(Pages::Notes, run_id: number(params["run"]), typed: params, errors: result.errors)
            next page("runs/notes", shown, status: 422)
          end

          redirect "/pieces/#{piece.id}/notes#{"?run=#{result.value.run_id}" if result.value.run_id}"
        end
        answering(app)
      end

      def self.answering(app)
        app.allow :member, post: "/pieces/:piece/notes/:id/give", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          note = find(piece.notes.standing)
          made = Actions::GiveNote.new(note, account, Reading::PieceSnapshots.of(piece)).run(wanted?)
          said = wanted? ? "given" : "not_given"
          say t("notes.#{made ? 'cleaning_made' : said}"),
              undo: ("/pieces/#{piece.id}/notes/#{note.id}/give?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/notes#{"?run=#{note.run_id}" if note.run_id}"
        end
        app.allow :member, post: "/pieces/:piece/notes/:id/answer", takes: { text: :text } do
          permit Piece::Policy, piece, :tick?
          result = Actions::AnswerQuestion.new(find(piece.notes.open.where.not(asker_id: nil)), account, params).run
          say(result.ok? ? t("notes.answered") : result.errors.values.first)
          redirect "/pieces/#{piece.id}/notes"
        end
        app.allow :member, post: "/pieces/:piece/notes/:id/settle", takes: { to: :text } do
          permit Piece::Policy, piece, :tick?
          note = find(piece.notes.standing)
          note.settle(wanted?, account.name, Shared::Clock.now)
          say t(wanted? ? "corrections.settled" : "corrections.back"),
              undo: ("/pieces/#{piece.id}/notes/#{note.id}/settle?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/notes#{"?run=#{note.run_id}" if note.run_id}"
        end
      end
    end
  end
end
