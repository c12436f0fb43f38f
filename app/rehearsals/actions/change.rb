# frozen_string_literal: true

module App
  module Rehearsals
    module Actions
      # Another day, other hours, other rooms, another kind of evening. What people were told is not touched: what then
      # lies outside it is said. Value: [sentence].
      class Change
        # given: {"date", "start", "end", "rooms", "kind", "lock_version"} as the form says them; dates as people write.
        def initialize(rehearsal, given, today)
          @rehearsal = rehearsal
          @studio = rehearsal.studio
          @given = given
          @today = today
        end

        def run
          found = faults
          return Shared::Result.no(found) if found.any?

          Records::Rehearsal.transaction { change }
          Shared::Result.ok(said)
        end

        private

        def change
          moved = @rehearsal.date != date
          @rehearsal.update!(date:, start_minute: from, end_minute: to, kind: @given["kind"],
                             lock_version: @given["lock_version"].to_i)
          @rehearsal.rehearsal_rooms.where.not(room_id: rooms.map(&:id)).delete_all
          (rooms.map(&:id) - @rehearsal.rehearsal_rooms.pluck(:room_id)).each do |room_id|
            @rehearsal.rehearsal_rooms.create!(studio: @studio, room_id:)
          end
          Records::Habit.spread(@studio, [@rehearsal]) if moved
          @rehearsal.touch
        end

        def date = @date ||= Shared::WrittenDates.read(@given["date"], @today)
        def from = Formats::Times.minutes(@given["start"])
        def to = Formats::Times.minutes(@given["end"])

        # Those there were may stay, though they are archived.
        def rooms
          ids = Array(@given["rooms"]).grep(/\A\d{1,18}\z/)
          @rooms ||= @studio.rooms.open.or(@studio.rooms.where(id: @rehearsal.rooms.map(&:id))).where(id: ids).to_a
        end

        def faults
          wrong = []
          wrong << :rooms if rooms.empty?
          wrong << :dates unless date && date >= @today
          wrong << :times unless times?
          wrong << :kind unless Records::Rehearsal::KINDS.include?(@given["kind"])
          wrong << :taken if wrong.empty? && taken?
          wrong.to_h { |key| [key, I18n.t("rehearsals.faults.#{key}", most: Add::MOST)] }
        end

        def times? = from && to && to > from && (from % 5).zero? && (to % 5).zero?

        def taken?
          @studio.rehearsals.standing.where(date:).where.not(id: @rehearsal.id)
            .any? { |other| other.start_minute < to && from < other.end_minute }
        end

        # What people were told that lies outside it now, by piece.
        def said
          plans = @studio.plans.where.not(published_at: nil).where(replaced_at: nil).includes(:piece)
          lost = plans.filter_map do |plan|
            slots = plan.slots.work.where(rehearsal_id: @rehearsal.id).select { |slot| outside?(slot) }
            I18n.t("rehearsals.outside", count: slots.size, piece: plan.piece.title) if slots.any?
          end
          day = Shared::Dates.day(@rehearsal.date)
          [I18n.t("rehearsals.changed", day:, from: Formats::Times.clock(from), to: Formats::Times.clock(to)), *lost]
        end

        def outside?(slot)
          return true if slot.start_minute < from || slot.end_minute > to
          return true if slot.room_id && rooms.map(&:id).exclude?(slot.room_id)

          Core::Planning::EveningKinds::TAKES.fetch(@rehearsal.kind, [slot.kind]).exclude?(slot.kind)
        end
      end
    end
  end
end
