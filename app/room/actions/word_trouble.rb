# frozen_string_literal: true

module App
  module Room
    module Actions
      # What a trouble spot is, and whose. What was said last holds, whichever device sends it first.
      class WordTrouble < RunEntry
        def run
          trouble = studio.troubles.find_by(client_id: @sent.undoes) or return :note
          return :duplicate if trouble.worded_by == @sent.client || trouble.worded_at.to_i > @sent.said_at

          trouble.lock! # sent twice at once, the second finds it said
          return :duplicate if trouble.worded_by == @sent.client

          Runs::Actions::SayTrouble.new(trouble, TroubleWords.of(@sent, trouble.piece)).run
          Runs::Actions::WriteDanced.new(trouble.run, @member, @now).run
          :stored
        end
      end
    end
  end
end
