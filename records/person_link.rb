# frozen_string_literal: true

module Records
  # A dancer's private link to their own page; can be revoked.
  class PersonLink < Base
    include Token

    belongs_to :studio
    belongs_to :person
    scope :live, -> { where(revoked_at: nil) }
  end
end
