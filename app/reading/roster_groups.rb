# frozen_string_literal: true

module App
  module Reading
    # Groups that stand with dancers whose roster came before a piece.
    module RosterGroups
      module_function

      # [[name of a group, people], …] of a studio, in the order in which they came.
      def waiting(studio)
        people = studio.people.present.where(dances: true).on_a_roster.order(:id).to_a
        names = people.flat_map(&:roster_groups).uniq
        names.map { |name| [name, people.select { |person| person.roster_groups.include?(name) }] }
      end
    end
  end
end
