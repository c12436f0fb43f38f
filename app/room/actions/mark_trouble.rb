# frozen_string_literal: true

module App
  module Room
    module Actions
      # One tap in a run: something went wrong at this count. What and whose can be said with it, later, or never.
      class MarkTrouble < RunEntry
        def run
          return :run unless begun
          return :links unless link

          where = { **place, place: Shared::PlaceName.of(link, place) }
          trouble = Records::Trouble.add_once({ **said_of_run, run_id: begun.id, piece_id: piece.id, **where })
          return :duplicate unless trouble

          Runs::Actions::SayTrouble.new(trouble, words).run if @sent.text("kind_of") != ""
          write_danced
          :stored
        end

        private

        def words = TroubleWords.of(@sent, piece)
      end
    end
  end
end
