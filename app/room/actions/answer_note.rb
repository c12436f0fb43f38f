# frozen_string_literal: true

module App
  module Room
    module Actions
      # A promise kept, a question answered: it is parked no longer.
      class AnswerNote < Entry
        def run
          note = studio.notes.find_by(client_id: @sent.undoes) or return :note
          rows = studio.notes.where(id: note.id, answered_at: nil)
          answered = rows.update_all(answered_at: Shared::Clock.now, answered_by: @member.account.name)
          answered.positive? ? :stored : :duplicate
        end
      end
    end
  end
end
