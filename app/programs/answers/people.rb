# frozen_string_literal: true

module App
  module Programs
    module Answers
      # Dancers and choreographers, with their groups.
      class People
        def initialize(studio, _now) = @studio = studio

        def rows
          @studio.people.present.includes(groups: :piece).order(:id).map do |person|
            groups = person.groups.reject { |group| group.piece.archived? }
            { id: person.id, name: person.name, dances: person.dances, teaches: person.teaches, adult: person.adult,
              groups: groups.map { |group| { piece: group.piece_id, name: group.name } } }
          end
        end
      end
    end
  end
end
