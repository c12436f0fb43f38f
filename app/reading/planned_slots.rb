# frozen_string_literal: true

module App
  module Reading
    # The slots of a plan that lie ahead, each as a task of its own with the people called to it, and where it lies.
    class PlannedSlots
      Planning = Core::Planning
      private_constant :Planning

      def self.id(slot) = Records::Mapping::Identifiers.slot(slot.id)

      def initialize(plan, season)
        @plan = plan
        @season = season
      end

      def slots = @slots ||= @plan.slots.work.where(rehearsal_id: @season.open.map(&:id)).to_a

      # {task key => [minutes ahead, dancers called, kind]}.
      def by_task
        @by_task ||=
          slots.group_by(&:task_key).transform_values do |same|
            [same.sum(&:minutes), same.flat_map { |slot| called(slot, "dancer") }.uniq, same.first.kind]
          end
      end

      # Whether all slots of a task lie in evenings that stand as they were told.
      def fixed?(key)
        days = @season.fixed.map(&:id)
        slots.select { |slot| slot.task_key == key }.all? { |slot| days.include?(slot.rehearsal_id) }
      end

      # Ids of people who are away from every slot of a task, as far as it is up to them.
      def away_from(key)
        slots.select { |slot| slot.task_key == key }.map { |slot| away.of(slot) }.reduce(:&) || []
      end

      # [[task key, date], …] of slots in rehearsals that were cancelled.
      def lost
        @lost ||=
          @plan.slots.work.joins(:rehearsal)
            .where.not(rehearsals: { cancelled_at: nil })
            .where(rehearsals: { date: @season.now.to_date.. })
            .pluck(:task_key, "rehearsals.date")
      end

      # Recap and music ahead, as the core has them.
      def ends
        windows = problem.windows.to_h { |window| [window.id, window] }
        @plan.slots
          .where(kind: Records::Slot::ENDS, rehearsal_id: @season.open.map(&:id))
          .includes(:slot_people)
          .filter_map do |slot|
            window = windows[Records::Mapping::Identifiers.window(slot.rehearsal_id)] or next
            people =
              slot.slot_people.group_by(&:role)
                .transform_values do |called|
                  called.map { |each| Records::Mapping::Identifiers.person(each.person_id) }
                end
            Planning::Bookends::Bookend.new(
              kind: slot.kind,
              window: window.id,
              start: slot.start_minute - window.start,
              minutes: slot.minutes,
              room: Records::Mapping::Identifiers.room(slot.room_id),
              dancers: people.fetch("dancer", []),
              choreographers: people.fetch("teacher", []),
              tasks: []
            )
          end
      end

      # Ids of people called to a slot as "dancer" or "teacher".
      def called(slot, role) = people.fetch([slot.id, role], [])

      def problem
        @problem ||=
          @season.problem(
            slots.map { |slot| task(slot) },
            hazards: PieceSnapshots.of(@plan.piece).danced.all_hazards,
            rehearsals: @season.open
          )
      end

      # [Placement], as the slots lie.
      def placements
        windows = problem.windows.to_h { |window| [window.id, window] }
        slots.filter_map do |slot|
          window = windows[Records::Mapping::Identifiers.window(slot.rehearsal_id)] or next
          Planning::Placement.new(
            task: PlannedSlots.id(slot),
            window: window.id,
            start: slot.start_minute - window.start,
            minutes: slot.minutes,
            room: Records::Mapping::Identifiers.room(slot.room_id)
          )
        end
      end

      private

      def away = @away ||= AwayFrom.new(@season)

      def task(slot)
        after, after_window = @plan.result.fetch("waits", {}).fetch(slot.task_key, [[], []])
        Planning::Task.new(
          id: PlannedSlots.id(slot),
          kind: slot.kind,
          minutes: slot.minutes,
          dancers: called(slot, "dancer"),
          choreographers: called(slot, "teacher"),
          after: keyed(after),
          after_window: keyed(after_window),
          title: TaskTitles.edge(slot.task_key) || slot.title,
          sections: slot.section_ids,
          links: slot.from_link && (slot.from_link..slot.to_link).to_a
        )
      end

      # Plain rows: a season has thousands.
      def people
        @people ||=
          @plan.studio.slot_people.where(slot_id: slots.map(&:id)).order(:id)
            .pluck(:slot_id, :role, :person_id)
            .group_by { |row| row.first(2) }
            .transform_values { |same| same.map(&:last) }
      end

      def keyed(keys) = slots.select { |slot| keys.include?(slot.task_key) }.map { |slot| PlannedSlots.id(slot) }
    end
  end
end
