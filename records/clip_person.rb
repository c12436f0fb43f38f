# frozen_string_literal: true

module Records
  # Somebody who can be seen in a clip.
  class ClipPerson < Base
    self.table_name = "clip_people"
    belongs_to :studio
    belongs_to :upload
    belongs_to :person
  end
end
