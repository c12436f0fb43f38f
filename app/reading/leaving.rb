# frozen_string_literal: true

module App
  module Reading
    # What hangs on somebody who is to be archived: casts, sections, calls ahead.
    class Leaving
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

      # Rows of calls from today on.
      def rows
        ahead = @studio.rehearsals.where(date: @studio.today(@now)..)
        @studio.slot_people.where(person_id: @person.id)
          .where(slot_id: @studio.slots.where(rehearsal_id: ahead.select(:id)).select(:id))
      end
    end
  end
end
