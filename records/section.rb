# frozen_string_literal: true

module Records
  # Choreographed material with one owner. Its eights are rows of their own.
  class Section < Base
    FIDELITIES = %w[set loose yours].freeze
    METHODS = Core::Planning::Estimate::PRESETS.keys.freeze
    HAZARDS = %w[back_bend splits jump floor_work knee_drop lift spin run prop low_light].freeze

    TIMES = Core::Piece::Section::BEATS.keys.freeze
    # Of several teachers, all are called, or one is enough.
    NEEDED = %w[all one].freeze
    FEELS = %w[even triplet].freeze
    # What is called out where it is taught: the counts, or its own words.
    CALLED_BY = %w[counts words].freeze
    LAYERS = Core::Piece::Section::LAYERS.keys.freeze
    EDGE = {
      "weight" => %w[left right both seated floor],
      "facing" => (1..8).to_a,
      "level" => %w[standing low kneeling seated floor air]
    }.freeze

    belongs_to :studio
    belongs_to :piece
    belongs_to :choreographer, class_name: "Records::Person", optional: true
    has_many :section_teachers
    has_many :co_teachers, through: :section_teachers, source: :person
    has_many :teachings
    has_many :eights, -> { order(:position) }, dependent: :delete_all
    has_many :parts
    has_many :notes
    has_many :links
    has_many :versions
    normalizes :name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :name, presence: true, length: { maximum: 60 }
    validates :fidelity, inclusion: { in: FIDELITIES }
    validates :method_preset, inclusion: { in: METHODS }
    validates :time, inclusion: { in: TIMES }
    validates :learned_way, inclusion: { in: Core::Learning::Way::NAMES }, allow_nil: true
    validates :learned_runs, numericality: { only_integer: true, in: 1..20 }, allow_nil: true
    validates :teachers_needed, inclusion: { in: NEEDED }
    validates :feel, inclusion: { in: FEELS }
    validates :called_by, inclusion: { in: CALLED_BY }
    validates :layer_school, inclusion: { in: LAYERS }
    validates :difficulty, numericality: { in: 0.7..1.6 }
    validates :minutes, numericality: { only_integer: true, in: 1..600 }, allow_nil: true
    validates :note, length: { maximum: 2000 }
    validates :bring, length: { maximum: 200 }

    # The newest line of how far it was taught to everybody who dances it.
    def taught_to_all = teachings.where(group_id: nil).order(:id).last

    # Whether somebody teaches it, alone or with others.
    def taught_by?(person_id)
      return false if person_id.nil?

      choreographer_id == person_id || section_teachers.any? { |row| row.person_id == person_id }
    end
  end
end
