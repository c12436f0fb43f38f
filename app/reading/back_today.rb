# frozen_string_literal: true

module App
  module Reading
    # Whoever comes to an evening after having been away for some days: they start marked. From the days they said
    # only; why they were away is not known.
    class BackToday
      # Away for so many days on end.
      LONG = 4
      private_constant :LONG

      # people: ids of those who are called.
      def initialize(rehearsal, people)
        @rehearsal = rehearsal
        @studio = rehearsal.studio
        @people = people
      end

      # Names, of dancers.
      def names = @studio.people.where(id: ids, dances: true).order(:name).pluck(:name)

      private

      def ids
        rows = @studio.absences.where(person_id: @people, from_minute: nil, to_minute: nil)
          .where(to_date: before...@rehearsal.date).pluck(:person_id, :from_date, :to_date)
        rows.select { |_, first, last| (last - first).to_i + 1 >= LONG }.map(&:first).uniq
      end

      # The rehearsal before it: whoever was away up to then has not danced since.
      def before
        @studio.rehearsals.standing.where(date: ...@rehearsal.date).maximum(:date) || (@rehearsal.date - 7)
      end
    end
  end
end
