# frozen_string_literal: true

module Records
  # A rehearsal of the studio: local date and minutes of the day. Shared by all pieces.
  class Rehearsal < Base
    KINDS = %w[rehearsal technical dress photo show].freeze

    belongs_to :studio
    has_many :rehearsal_rooms
    has_many :rooms, through: :rehearsal_rooms
    has_many :slots
    has_many :attendances
    has_many :attendance_entries
    has_many :evening_steps
    has_many :passes, class_name: "Records::Pass"
    has_many :notes
    has_many :runs, class_name: "Records::Run"
    has_many :drills
    validates :date, presence: true
    validates :start_minute, numericality: { only_integer: true, in: 0..1435 }
    validates :end_minute, numericality: { only_integer: true, in: 5..1440 }
    validates :kind, inclusion: { in: KINDS }
    validate :ends_after_start
    # How often it fell away or came back: numbers of calendar events only grow.
    before_update { self.turns += 1 if cancelled_at_changed? }
    scope :standing, -> { where(cancelled_at: nil).order(:date, :start_minute) }

    # Whether it is behind a moment of the studio's local time.
    def over?(now) = date < now.to_date || (date == now.to_date && end_minute <= (now.hour * 60) + now.min)
    def minutes = end_minute - start_minute

    # Those of its rooms that can still be used.
    def open_rooms = rooms.reject(&:archived?)

    # Said twice, the first time counts.
    def cancel(now) = (update!(cancelled_at: now) unless cancelled_at)
    def restore = (update!(cancelled_at: nil) if cancelled_at)

    private

    def ends_after_start
      errors.add(:end_minute, "must be after the start") if start_minute && end_minute && end_minute <= start_minute
    end
  end
end
