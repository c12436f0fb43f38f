# frozen_string_literal: true

module App
  module Room
    module Actions
      # What all entries from the room share. run answers :stored, :duplicate, or a word for why it is refused.
      class Entry
        def initialize(rehearsal, member, sent, now)
          @rehearsal = rehearsal
          @member = member
          @sent = sent
          @now = now
        end

        private

        def studio = @member.studio

        # What every row from the room has.
        def said
          {
            studio_id: studio.id,
            rehearsal_id: @rehearsal.id,
            said_at: @sent.said_at,
            by_name: @member.account.name,
            client_id: @sent.client,
            created_at: Shared::Clock.now
          }
        end

        # The slot it is about, if it is one of this rehearsal.
        def slot
          @sent.slot if @sent.slot&.rehearsal_id == @rehearsal.id
        end

        # For what has no row under its own key: a second sending at the same moment waits until the first is kept.
        def after_the_same
          key = Zlib.crc32("#{studio.id} #{@sent.client}") & 0x7fffffff
          Records::Base.done_with("SELECT pg_advisory_xact_lock($1::int, 0)::text", "one key", [key])
        end

        # Writes a row unless its key is known.
        def add(model, row)
          written = model.insert_all([row], unique_by: %i[studio_id client_id], returning: %i[id])
          written.any? ? :stored : :duplicate
        end
      end
    end
  end
end
