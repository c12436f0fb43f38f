# frozen_string_literal: true

module App
  module Reading
    # A rehearsal as it goes: who was said to be there, what each room is at, and what the rest comes to.
    class Evening
      STEP = Core::Room::Timetable::Step
      private_constant :STEP

      attr_reader :rehearsal, :member, :now, :sheet

      delegate :studio, :slots, to: :sheet

      # now: the studio's local time.
      def initialize(rehearsal, member, now)
        @rehearsal = rehearsal
        @member = member
        @now = now
        @sheet = RehearsalSheet.new(rehearsal, member, now)
      end

      # Hours after its end for which a device keeps a rehearsal's page, and that moment in milliseconds: a device
      # without a network cannot know that its sign-in was ended elsewhere. One ahead is kept from whenever it was
      # opened.
      HOURS = 12
      def kept_until
        noon = studio.zone.local_to_utc(Time.utc(*rehearsal.date.strftime("%Y %m %d").split.map(&:to_i), 12))
        ((noon + ((rehearsal.end_minute - 720) * 60) + (HOURS * 3600)).to_f * 1000).to_i
      end

      def today? = rehearsal.date == now.to_date
      def ahead? = rehearsal.date > now.to_date

      # The minute it is, or the one the rehearsal begins at where it is looked at before.
      def minute = today? ? (now.hour * 60) + now.min : rehearsal.start_minute

      # Rooms in which something is done, the busiest first.
      def rooms
        @rooms ||= begin
          used = slots.filter_map(&:room).tally
          used.sort_by { |room, count| [-count, room.id] }.map(&:first)
        end
      end

      # Slots of one room; of all where none is named.
      def in_room(room) = room ? slots.select { |slot| slot.room_id.nil? || slot.room_id == room.id } : slots

      # {person id => the minute they are called for}.
      def called
        @called ||=
          slots.flat_map { |slot| slot.slot_people.map { |called| [called.person_id, slot.start_minute] } }
            .group_by(&:first)
            .transform_values { |same| same.map(&:last).min }
      end

      # Minutes somebody warms up who comes late.
      def warm_up = slots.find { |slot| slot.kind == "warm_up" }&.minutes || studio.setting("warm_up")

      def register
        @register ||= Records::Mapping::Registers.of(rehearsal, called:, warm_up:)
      end

      # Names of those who were there and belong to nobody's piece.
      def guests
        rows = rehearsal.attendance_entries.standing.where.not(guest: nil).in_order
        rows.group_by(&:guest).transform_values { |same| same.last.state }
      end

      # [Records::EveningStep] that hold, in the order in which they were said.
      def steps = @steps ||= rehearsal.evening_steps.standing.in_order.to_a

      # Core::Room::Timetable of a room.
      def timetable(room)
        Core::Room::Timetable.new(
          in_room(room).map { |slot| timed(slot) },
          ends: rehearsal.end_minute,
          now: minute,
          steps: steps.map { |row| step(row) }
        )
      end

      # How long every slot took of which somebody said in the room that it began or ended: {slot id => minutes}.
      def took
        said = steps.select { |row| %w[begin end].include?(row.kind) }.to_set(&:slot_id)
        lines = (rooms.presence || [nil]).flat_map { |room| timetable(room).lines }
        done = lines.select { |line| line.state == :done && line.slot.work && said.include?(line.slot.id) }
        done.to_h { |line| [line.slot.id, [line.minutes, 1].max] }
      end

      def dropped = steps.select { |row| row.kind == "drop" }.to_set(&:slot_id)

      private

      def timed(slot)
        Core::Room::Timetable::Slot.new(
          id: slot.id,
          start: slot.start_minute,
          minutes: slot.minutes,
          work: slot.work?,
          busy: elsewhere(slot),
          earliest: people(slot).filter_map { |id| called[id] }.max || slot.start_minute
        )
      end

      def people(slot) = slot.slot_people.map(&:person_id)

      # When some of its people are called to another room.
      def elsewhere(slot)
        others = slots.select { |other| other.room_id && slot.room_id && other.room_id != slot.room_id }
        others.select { |other| people(other).intersect?(people(slot)) }
          .map { |other| [other.start_minute, other.end_minute] }
      end

      def step(row)
        STEP.new(kind: row.kind, slot: row.slot_id, minute: row.minute, minutes: row.minutes, with: row.with_slot_id)
      end
    end
  end
end
