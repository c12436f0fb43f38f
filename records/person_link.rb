# frozen_string_literal: true

module Records
  # A dancer's private link to their own page; can be revoked.
  class PersonLink < Base
    include Token

    belongs_to :studio
    belongs_to :person
    # Of somebody who is archived none works, until they are back.
    scope :live, -> { where(revoked_at: nil, person_id: Person.where(archived_at: nil).select(:id)) }
  end
end
