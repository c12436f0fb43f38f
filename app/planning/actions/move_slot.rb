# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Moves a slot of a plan to another rehearsal (to the first place there that breaks nothing), or says what would
      # break. A plan that people were told is not touched: the slot is moved in a draft made from it.
      class MoveSlot
        Planning = Core::Planning
        private_constant :Planning

        def initialize(slot, rehearsal, account, now)
          @slot = slot
          @account = account
          @plan = slot.plan
          @piece = @plan.piece
          @rehearsal = rehearsal
          @now = now
        end

        # Value: [start minute of the day, room id].
        def run
          unless [@rehearsal, @slot.rehearsal].all? { |each| season.open.include?(each) }
            return Shared::Result.no({ base: I18n.t("moves.past") })
          end
          return Shared::Result.no({ base: I18n.t("moves.pinned") }) if @slot.pinned
          return Shared::Result.ok([@slot.start_minute, @slot.room_id]) if @slot.rehearsal_id == @rehearsal.id

          check = Planning::MoveCheck.new(problem, placements)
          found = check.place(Reading::PlannedSlots.id(@slot), Records::Mapping::Identifiers.window(@rehearsal.id))
          return Shared::Result.no({ base: I18n.t("moves.breaks", why: reasons(check)) }) unless found

          Shared::Result.ok(save(found))
        end

        private

        def season = @season ||= Records::Mapping::Seasons.new(@piece, now: @now)
        def ahead = @ahead ||= Reading::PlannedSlots.new(@plan, season)
        def problem = ahead.problem
        def placements = ahead.placements

        # The slots' tasks with people as the season names them.
        def tasks = problem.tasks + problem.lately

        # Recap and music as they are wanted after the move; no slot gives way for them.
        def bookends(found)
          moved = placements.reject { |each| each.task == found.task } + [found]
          Planning::Bookends.new(problem, moved, fixed: problem.windows.map(&:id)).all
        end

        def reasons(check)
          people =
            @piece.studio.people.pluck(:id, :name).to_h { |id, name| [Records::Mapping::Identifiers.person(id), name] }
          titles = ahead.slots.to_h { |slot| [Reading::PlannedSlots.id(slot), slot.title] }
          check.breaks
            .map do |found|
              I18n.t(
                "moves.#{found.kind}",
                names: list(found.who.map { |id| people.fetch(id, id) }),
                tasks: list(found.tasks.map { |id| titles.fetch(id, id) })
              )
            end
            .join(" ")
        end

        def list(words) = Shared::Lists.of(words)

        def save(found)
          window = problem.windows.find { |each| each.id == found.window }
          ends = bookends(found)
          Records::Plan.transaction do
            @plan, @slot = EditablePlan.new(@piece, @account).of(@slot)
            @plan.lock!
            @slot.update!(
              rehearsal: @rehearsal,
              start_minute: window.start + found.start,
              room_id: Records::Mapping::Identifiers.row(found.room)
            )
            changed = Recaps.new(@plan, season, tasks, Records::Mapping::Works.load(@piece).order).replace(ends)
            WarmUps.new(@plan, season).redo([@slot.rehearsal_id_before_last_save, @rehearsal.id, *changed].compact.uniq)
            @plan.touch
          end
          [@slot.start_minute, @slot.room_id]
        end
      end
    end
  end
end
