# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Somebody else can teach a section too, and one of them is enough: who is away least is called.
      class Helper < OfSection
        # Grown-ups of the team: whoever teaches, and whoever runs the studio with them. Never a minor.
        def self.of(studio)
          staff = studio.memberships.where.not(person_id: nil).select(:person_id)
          teachers = studio.people.where(teaches: true, band: [nil, Core::Planning::AgeBands::ADULT])
          studio.people.present.where(id: studio.people.where(adult: true, id: staff).ids | teachers.ids)
        end

        def valid? = super && already.exclude?(teacher.id)

        def work(work)
          Core::Joins::Edit.section(work, section.id) do |each|
            each.with(co_teachers: [*each.co_teachers, teacher.id], teachers_needed: "one")
          end
        end

        private

        def already = [section.choreographer_id, *section.section_teachers.pluck(:person_id)]

        def teacher = @teacher ||= Helper.of(@studio).find_by(id: id("teacher"))

        # Whoever teaches it from now on stands with the other teachers.
        def accept
          tape = teacher.tape || Shared::NextTape.next_free(@studio)
          teacher.update!(teaches: true, tape:) unless teacher.teaches
          section.section_teachers.create!(studio_id: @studio.id, person_id: teacher.id)
          section.update!(teachers_needed: "one")
        end
      end
    end
  end
end
