# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Casts those whose roster came before the piece, into the groups that stand with them, with their leaders.
      class TakeRosterGroups
        def initialize(piece)
          @piece = piece
          @studio = piece.studio
        end

        # How many came into the piece by it.
        def run
          @studio.alone(:people) do
            before = @piece.castings.count
            Reading::RosterGroups.waiting(@studio).each { |name, people| take(name, people) }
            @piece.touch
            @piece.castings.count - before
          end
        end

        private

        def take(name, people)
          group = groups[name.downcase] ||=
            @piece.groups.create!(studio: @studio, name:, number: (@piece.groups.maximum(:number) || 0) + 1)
          people.each do |person|
            Records::Casting.find_or_create_by!(studio: @studio, piece: @piece, person:)
            Records::GroupMember.find_or_create_by!(studio: @studio, group:, person:)
          end
          leader = people.find { |person| person.roster_leads.include?(name) }
          group.update!(leader:) if leader && group.leader_id.nil?
        end

        def groups = @groups ||= @piece.groups.index_by { |group| group.name.downcase }
      end
    end
  end
end
