# frozen_string_literal: true

module Records
  # Dancers of a piece known by one name, one number and one leader at once.
  class Group < Base
    # As many as a piece can have.
    MOST = 60
    belongs_to :studio
    belongs_to :piece
    belongs_to :leader, class_name: "Records::Person", optional: true
    has_many :group_members
    has_many :people, through: :group_members
    has_many :parts
    normalizes :name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :name, presence: true, length: { maximum: 40 }
    validates :number, numericality: { only_integer: true, in: 1..MOST }
  end
end
