# frozen_string_literal: true

module Records
  # A dancer is in a group.
  class GroupMember < Base
    belongs_to :studio
    belongs_to :group
    belongs_to :person
  end
end
