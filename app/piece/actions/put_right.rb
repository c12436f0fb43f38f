# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Whoever was made by a line of a piece's list, and is named by no line any more, goes with it; unless something
      # else hangs on them by now.
      class PutRight
        def initialize(piece) = @piece = piece

        # Runs a block that saves the list, and clears up after it.
        def run
          yield.tap { listed.each { |person| person.delete unless teaches?(person) || person.anything_hangs? } }
        end

        private

        def listed = @piece.studio.people.where(listed_by: @piece.id).to_a

        def teaches?(person)
          @piece.studio.sections.exists?(choreographer_id: person.id) ||
            @piece.studio.section_teachers.exists?(person_id: person.id)
        end
      end
    end
  end
end
