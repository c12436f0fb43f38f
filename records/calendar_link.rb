# frozen_string_literal: true

module Records
  # A private address from which a calendar elsewhere reads the calls of a person, a piece or a room; can be revoked.
  class CalendarLink < Base
    include Token

    belongs_to :studio
    belongs_to :person, optional: true
    belongs_to :piece, optional: true
    belongs_to :room, optional: true
    # The private link behind which it was made, with which it ends.
    belongs_to :person_link, optional: true
    scope :given, lambda {
      standing = where(person_link_id: nil).or(where(person_link_id: PersonLink.given.select(:id)))
      where(revoked_at: nil).merge(standing)
    }
    # Those that are answered: of somebody who is archived none is.
    scope :live, lambda {
      given.merge(where(person_id: nil).or(where(person_id: Person.where(archived_at: nil).select(:id))))
    }

    def subject = person || piece || room
  end
end
