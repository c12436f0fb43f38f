# frozen_string_literal: true

module App
  module Runs
    module Actions
      # The answer to a dancer's question: it stands on their own page, and the question is settled.
      class AnswerQuestion
        MOST = 300

        def initialize(note, account, params)
          @note = note
          @account = account
          @text = params["text"].to_s.strip
        end

        def run
          return Shared::Result.no({ text: I18n.t("notes.faults.answer") }) if @text.empty? || @text.size > MOST

          @note.update!(answer: @text, answered_by: @account.name, answered_at: Shared::Clock.now)
          Shared::Result.ok(@note)
        end
      end
    end
  end
end
