# frozen_string_literal: true

module Records
  # A dancer's private link to their own page; can be revoked.
  class PersonLink < Base
    include Token

    # Whose it is: the dancer's, or a guardian's, which is revoked apart; or opened from the dancer's sheet.
    KINDS = %w[dancer guardian sheet].freeze

    belongs_to :studio
    belongs_to :person
    validates :kind, inclusion: { in: KINDS }
    scope :given, -> { where(revoked_at: nil) }
    # Those that open a page: of somebody who is archived none does, until they are back.
    scope :live, -> { given.where(person_id: Person.where(archived_at: nil).select(:id)) }

    def guardian? = kind == "guardian"
  end
end
