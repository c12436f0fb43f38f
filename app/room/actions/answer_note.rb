# frozen_string_literal: true

module App
  module Room
    module Actions
      # A promise kept, a question answered: it is parked no longer.
      class AnswerNote < Entry
        def run
          note = studio.notes.find_by(client_id: @sent.undoes) or return :note
          return :duplicate if note.answered_at

          note.update!(answered_at: Shared::Clock.now, answered_by: @member.account.name)
          :stored
        end
      end
    end
  end
end
