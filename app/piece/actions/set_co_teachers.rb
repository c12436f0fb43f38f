# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Who teaches a section with its owner.
      class SetCoTeachers
        def initialize(section)
          @section = section
        end

        # ids: of people, the owner left out.
        def to(ids)
          wanted = ids.uniq - [@section.choreographer_id]
          @section.section_teachers.where.not(person_id: wanted).delete_all
          (wanted - @section.section_teachers.pluck(:person_id)).each do |person_id|
            @section.section_teachers.create!(studio_id: @section.studio_id, person_id:)
          end
        end
      end
    end
  end
end
