# frozen_string_literal: true

module Records
  # A group piece. Its structure is read and written through Mapping::Works.
  class Piece < Base
    include Archivable

    DEFAULTS = {
      "learned_from" => 4,
      "full_runs" => 5,
      "ready_share" => 0.85,
      "school" => "add_on",
      "cleaning" => 0.0,
      "ready_days" => 7,
      "quorum" => 0.8,
      "deadlines" => {},
      "floor" => {
        "width" => 12.0,
        "depth" => 9.0
      },
      "checked_for" => Core::Piece::Checking::CHOICES.map(&:to_s),
      "steady_words" => false,
      "waiting_lines" => [],
      "remark_lines" => [],
      "steps_written" => true,
      "count_in" => Core::Music::StartPoint::COUNT_IN,
      "opening" => {},
      "ending" => {}
    }.freeze

    # Days that have a name of their own beside the show, and the shares of the time that may go into cleaning.
    DEADLINES = %w[dress technical filming set_on].freeze
    CLEANING = [0.0, 0.15, 0.3, 0.6, 1.0].freeze

    belongs_to :studio
    has_one :track
    has_many :sections, -> { order(:position) }
    has_many :links, -> { order(:position) }, dependent: :delete_all
    has_many :groups, -> { order(:number) }
    has_many :group_members, through: :groups
    has_many :castings
    has_many :people, through: :castings
    has_many :plans
    has_many :plan_offers
    has_many :revisions
    has_many :ledger_entries
    has_many :learning_states
    has_many :agreements
    has_many :join_facts
    has_many :asides
    has_many :understudies
    has_many :overrulings
    has_many :formations
    has_many :uploads
    has_many :notes
    has_many :runs, class_name: "Records::Run"
    has_many :troubles
    has_many :drills
    has_many :memory_answers
    has_many :version_people, class_name: "Records::VersionPerson"

    normalizes :title, with: ->(title) { title.to_s.gsub(/\s+/, " ").strip }
    validates :title, presence: true, length: { maximum: 80 }
    # Those that are rehearsed: neither put away nor a sample to look round.
    scope :running, -> { where(archived_at: nil, sample: false) }
    scope :samples, -> { where(sample: true) }

    def setting(name) = settings.fetch(name, DEFAULTS.fetch(name))
    def published_plan = plans.where.not(published_at: nil).where(replaced_at: nil).order(:number).last
    # The plan people were told before the one they go by now.
    def replaced_plan = plans.where.not(published_at: nil).where.not(replaced_at: nil).order(:replaced_at, :number).last
    def latest_plan = plans.order(:number).last
    def days_to_show(today) = show_date && (show_date - today).to_i
  end
end
