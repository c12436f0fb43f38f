# frozen_string_literal: true

module App
  module People
    module Actions
      # Puts somebody away from today on, in one step: out of casts, of the calls ahead that were told or drafted, and
      # so of registers. Their groups, and whom they lead or cover, come back with them; calls with the next plan.
      class Archive
        def initialize(person, now)
          @person = person
          @studio = person.studio
          @now = now
        end

        # Pieces they dance in that are not put away: [Records::Piece], by title.
        def pieces = @studio.pieces.running.where(id: @person.castings.select(:piece_id)).order(:title).to_a

        # Sections they teach, which stay theirs until somebody gives them away.
        def sections
          @studio.sections.where(choreographer_id: @person.id, piece_id: @studio.pieces.running.select(:id))
        end

        # Days ahead on which they are called by plans that people were told: [Date].
        def days
          told = rows.joins(slot: :plan).where.not(plans: { published_at: nil }).where(plans: { replaced_at: nil })
          @studio.rehearsals.standing.where(id: told.select("slots.rehearsal_id")).order(:date).pluck(:date).uniq
        end

        def run
          @person.alone(:people) do
            rows.delete_all
            @person.archive_or_restore(true, @now)
            pieces.each(&:touch)
          end
        end

        # Back again: in their casts and groups as before.
        def restore
          @person.archive_or_restore(false, @now)
          pieces.each(&:touch)
        end

        private

        # Rows of calls from today on.
        def rows
          ahead = @studio.rehearsals.where(date: @studio.today(@now)..)
          @studio.slot_people.where(person_id: @person.id)
            .where(slot_id: @studio.slots.where(rehearsal_id: ahead.select(:id)).select(:id))
        end
      end
    end
  end
end
