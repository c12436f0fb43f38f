# frozen_string_literal: true

module Records
  # A date on which a choreographer can come. One with no dates at all can come to everything.
  class Visit < Base
    belongs_to :studio
    belongs_to :person
    validates :date, presence: true
  end
end
