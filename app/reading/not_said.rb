# frozen_string_literal: true

module App
  module Reading
    # Who has not said yet when they can come: neither days, nor habits, nor that they come to all. They are planned as
    # coming.
    class NotSaid
      # What was said so many days ago does not hold for the season any more.
      HOLDS = 120
      # One reminder in so many days at the most.
      AGAIN = 7
      private_constant :HOLDS

      def initialize(studio, today)
        @studio = studio
        @today = today
      end

      # [Records::Person], by name: who dances or teaches in what is rehearsed, as long as something is.
      def people
        return [] unless @studio.rehearsals.standing.exists?(date: @today..)

        pieces = @studio.pieces.running.select(:id)
        dance = @studio.castings.where(piece_id: pieces).pluck(:person_id)
        teach = @studio.sections.where(piece_id: pieces).where.not(choreographer_id: nil).pluck(:choreographer_id)
        silent = @studio.people.present.where(id: (dance | teach) - said).order(:name)
        silent.where(comes_said_on: nil).or(silent.where(comes_said_on: ...since)).to_a
      end

      def include?(person) = people.any? { |one| one.id == person.id }

      # The first day on which they may be asked again.
      def again_on = @studio.days_asked_on && (@studio.days_asked_on + AGAIN)
      def may_ask? = again_on.nil? || again_on <= @today

      private

      def since = @today - HOLDS

      def said
        @studio.absences.where(to_date: since..).distinct.pluck(:person_id) |
          @studio.visits.where(date: since..).distinct.pluck(:person_id) | @studio.habits.distinct.pluck(:person_id)
      end
    end
  end
end
