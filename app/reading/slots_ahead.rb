# frozen_string_literal: true

module App
  module Reading
    # What the plan that people were told still works on, and with whom: for "when does that come?".
    class SlotsAhead
      # [Core::Learning::Soonest::Slot] that have not begun, kept as long as nothing about the season changes. now: the
      # studio's local time.
      def self.of(piece, items, season, now)
        today = now.to_date
        minute = (now.hour * 60) + now.min
        all = season.memo([:slots_ahead, piece.id]) { new(piece, items, season).all }
        all.drop_while { |slot| slot.day < today || (slot.day == today && slot.minute <= minute) }
      end

      def initialize(piece, items, season)
        @piece = piece
        @items = items
        @season = season
      end

      def all = rows.map { |slot| made(slot) }.sort_by { |slot| [slot.day, slot.minute] }

      private

      def plan = @season.published_plan(@piece)
      def rehearsals = @rehearsals ||= @season.ahead.index_by(&:id)

      def rows
        plan ? plan.slots.work.where(rehearsal_id: rehearsals.keys).includes(:slot_people).to_a : []
      end

      def made(slot)
        Core::Learning::Soonest::Slot.new(
          id: slot.rehearsal_id,
          day: rehearsals.fetch(slot.rehearsal_id).date,
          minute: slot.start_minute,
          works_on: works_on(slot),
          people: slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
        )
      end

      # A chain or a run works on all that lies in it.
      def works_on(slot)
        return [Core::Planning::TaskKey.subject(slot.task_key)] unless %w[chain run].include?(slot.kind)

        inside = slot.from_link..slot.to_link
        @items.all.select { |item| item.links.any? { |index| inside.cover?(index) } }.map(&:key)
      end
    end
  end
end
