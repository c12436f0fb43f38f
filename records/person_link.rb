# frozen_string_literal: true

module Records
  # A dancer's private link to their own page; can be revoked.
  class PersonLink < Base
    include Token

    belongs_to :studio
    belongs_to :person
    scope :given, -> { where(revoked_at: nil) }
    # Those that open a page: of somebody who is archived none does, until they are back.
    scope :live, -> { given.where(person_id: Person.where(archived_at: nil).select(:id)) }
  end
end
