# frozen_string_literal: true

module Records
  # Until a day, somebody of the team signs off in place of a choreographer who is away.
  class HandOver < Base
    belongs_to :studio
    belongs_to :person
    belongs_to :membership
    validates :until_day, presence: true

    scope :holding, ->(today) { where(ended_at: nil, until_day: today..) }
  end
end
