# frozen_string_literal: true

module App
  module Actions
    # Writes a plan as rows: its slots, who is called to each, and the warm-up and cool-down around them.
    class SavePlan
      SOON = 15

      def initialize(piece, account, plan, tasks, kept:, result:)
        @piece = piece
        @plan = plan
        @account = account
        @tasks = tasks.to_h { |task| [task.id, task] }
        @kept = kept
        @result = result
        @rehearsals = piece.studio.rehearsals.where(id: plan.placements.map { |p| p.window[1..] }).includes(:rooms).index_by(&:id)
        @care = Records::Mapping::Seasons.care(piece.studio)
        @warm_up = @care.warm_up_for(piece.sections.flat_map(&:hazards).uniq)
      end

      def run
        row = @piece.plans.create!(studio_id: @piece.studio_id, number: (@piece.plans.maximum(:number) || 0) + 1, account_id: @account.id, result: @result)
        @kept.each { |slot| copy(row, slot) }
        @plan.placements.group_by(&:window).each { |window, blocks| write(row, @rehearsals.fetch(window[1..].to_i), blocks) }
        row
      end

      private

      def write(plan, rehearsal, blocks)
        work = blocks.map { |block| [block, rehearsal.start_minute + @warm_up + block.start] }
        frame(plan, rehearsal, work)
        work.each { |block, from| slot(plan, rehearsal, block, from) }
      end

      def slot(plan, rehearsal, block, from)
        task = @tasks.fetch(block.task)
        row = create(plan, rehearsal, kind: task.kind, task_key: task.id, title: PlanTitles.of(task), start_minute: from, minutes: block.minutes,
                                      room_id: block.room[1..].to_i, from_link: task.links&.min, to_link: task.links&.max, section_ids: task.sections)
        call(row, task.dancers, "dancer")
        call(row, task.choreographers - task.dancers, "teacher")
      end

      # Warm-up for all who are needed soon after it, cool-down for those who are there last.
      def frame(plan, rehearsal, work)
        first = work.map(&:last).min
        last = work.map { |block, from| from + block.minutes }.max
        early = work.select { |_, from| from < first + SOON }.flat_map { |block, _| @tasks.fetch(block.task).dancers }.uniq
        late = work.select { |block, from| from + block.minutes == last }.flat_map { |block, _| @tasks.fetch(block.task).dancers }.uniq
        call(create(plan, rehearsal, **bodies("warm_up"), start_minute: first - @warm_up, minutes: @warm_up, room: room_for(rehearsal, early)), early, "dancer")
        return unless @care.cool_down.positive?

        call(create(plan, rehearsal, **bodies("cool_down"), start_minute: last, minutes: @care.cool_down, room: room_for(rehearsal, late)), late, "dancer")
      end

      # The smallest room that holds them all, else the largest.
      def room_for(rehearsal, people)
        rooms = rehearsal.rooms.sort_by(&:capacity)
        rooms.find { |room| room.capacity >= people.size } || rooms.last
      end

      def bodies(kind) = { kind:, task_key: kind, title: I18n.t("tasks.#{kind}") }

      def create(plan, rehearsal, **fields) = Records::Slot.create!(studio_id: plan.studio_id, plan:, rehearsal:, **fields)

      def call(slot, people, role)
        Records::SlotPerson.add_all(people.map { |person_id| { studio_id: slot.studio_id, slot_id: slot.id, person_id:, role: } })
      end

      def copy(plan, slot)
        row = create(plan, slot.rehearsal, **slot.attributes.symbolize_keys.slice(:kind, :task_key, :title, :start_minute, :minutes, :room_id, :from_link, :to_link, :section_ids))
        slot.slot_people.group_by(&:role).each { |role, called| call(row, called.map(&:person_id), role) }
      end
    end
  end
end
