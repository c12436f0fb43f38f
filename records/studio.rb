# frozen_string_literal: true

module Records
  # A tenant: a studio or company. Everything is reached from here.
  class Studio < Base
    has_many :memberships
    has_many :accounts, through: :memberships
    has_many :people
    has_many :person_links
    has_many :invitations
    has_many :pieces
    has_many :own_steps
    has_many :word_meanings
    has_many :asides
    has_many :versions
    has_many :attendances
    has_many :agreements
    has_many :join_facts
    has_many :formations
    has_many :spots
    has_many :version_people, class_name: "Records::VersionPerson"
    has_many :tracks
    has_many :castings
    has_many :groups
    has_many :group_members
    has_many :sections
    has_many :section_teachers
    has_many :teachings
    has_many :eights
    has_many :parts
    has_many :links
    has_many :revisions
    has_many :rooms
    has_many :rehearsals
    has_many :rehearsal_rooms
    has_many :absences
    has_many :habits
    has_many :visits
    has_many :season_days
    has_many :plans
    has_many :plan_offers
    has_many :slots
    has_many :slot_people, class_name: "Records::SlotPerson"
    has_many :ledger_entries
    has_many :learning_states
    has_many :mails
    has_many :submissions
    has_many :understudies
    has_many :hand_overs
    has_many :overrulings
    has_many :attendance_entries
    has_many :evening_steps
    has_many :passes, class_name: "Records::Pass"
    has_many :notes
    has_many :uploads
    has_many :runs, class_name: "Records::Run"
    has_many :run_steps, class_name: "Records::RunStep"
    has_many :troubles
    has_many :trouble_people, class_name: "Records::TroublePerson"
    has_many :drills
    has_many :drill_people, class_name: "Records::DrillPerson"
    has_many :givings
    has_many :consents
    has_many :memory_answers
    has_many :calendar_links
    has_many :program_tokens
    has_many :transfers
    has_many :clip_people, class_name: "Records::ClipPerson"

    validates :name, presence: true, length: { maximum: 80 }
    validates :time_zone, inclusion: { in: ->(_) { TZInfo::Timezone.all_identifiers } }

    validate { StudioSettings.wrong(settings.slice(*DEFAULTS.keys)).each { |name| errors.add(:settings, name) } }

    DEFAULTS = {
      "kind" => "",
      "way_closed" => false,
      "under_eleven" => false,
      "warm_up" => 15,
      "cool_down" => 5,
      "max_continuous" => 55,
      "rest" => 5,
      "daily_minutes" => 300,
      "full_runs" => 5,
      "new_eights" => 6,
      "full_out_minutes" => 10,
      "latest_finish" => 1320,
      "school_eve" => 30,
      "fixed_days" => 7,
      "re_warm" => 5,
      "recap" => 5,
      "to_music" => 5,
      "learned_way" => "ticks",
      "clean_runs" => 3,
      "self_reports" => false,
      "clips" => false,
      "clips_for_dancers" => false,
      "words_to_minors" => false,
      "erase_after" => 0,
      "rooms_in_calendars" => false,
      "paper" => "a4",
      "quiet_from" => 1290,
      "quiet_to" => 420
    }.freeze

    # What steps are called here: the studio's own words before the known ones, and what words mean to each teacher.
    def vocabulary
      @vocabulary ||= begin
        own = own_steps.accepted.map(&:step)
        meant = word_meanings.holding.group_by(&:teacher_id).transform_values { |words| words.map(&:step) }
        own.any? || meant.any? ? Core::Movement::Vocabulary.new(own:, meant:) : Core::Movement::Vocabulary::DEFAULT
      end
    end

    def setting(name) = settings.fetch(name, DEFAULTS.fetch(name))
    def zone = @zone ||= TZInfo::Timezone.get(time_zone)

    # The studio's date and minute of the day at a moment.
    def local(now) = zone.utc_to_local(now.getutc)
    def today(now) = local(now).to_date
  end
end
