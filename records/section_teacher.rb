# frozen_string_literal: true

module Records
  # Somebody who teaches a section together with its owner.
  class SectionTeacher < Base
    belongs_to :studio
    belongs_to :section
    belongs_to :person
  end
end
