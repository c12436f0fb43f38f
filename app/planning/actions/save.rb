# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Writes a plan as rows: its slots, who is called to each, the recap and the music, and warm-ups and cool-down
      # around them.
      class Save
        # plan: a Core::Planning::Plan, or one that was kept (Records::Mapping::StoredPlans::Stored); season: the one
        # it was made in, so that what was ahead then is ahead here; result: what is kept beside the slots; together: of
        # which season it is, where it was made with other pieces' (warming up is written when all of them are there).
        def initialize(piece, account, plan, season:, result:, tasks: plan.tasks, pinned: [], together: nil)
          @together = together
          @piece = piece
          @account = account
          @plan = plan
          @season = season
          @result = result
          @tasks = tasks.to_h { |task| [task.id, task] }
          @pinned = pinned
        end

        # A new plan. kept: slots that lie behind us or were told for the next days, taken over as they are; fixed:
        # Reading::FixedSlots, by which somebody of these cannot come any more, or came to the piece since.
        def run(kept: [], fixed: nil)
          @kept = kept
          row =
            @piece.plans.create!(
              studio_id: @piece.studio_id,
              number: (@piece.plans.maximum(:number) || 0) + 1,
              account_id: @account&.id,
              together: @together,
              result: @result,
              school: @result.fetch("school", "add_on")
            )
          leave(row, CopySlots.into(row, kept), fixed) if fixed
          write_all(row)
          row
        end

        # Puts the plan's placements in place of the slots that were ahead when it was made; those behind stay.
        def replace(row)
          ahead = row.slots.where(rehearsal_id: @season.plannable.map(&:id))
          CopySlots.remove(row, ahead)
          row.update!(result: @result)
          write_all(row)
        end

        private

        # Who cannot come is not called; where that, or a slot that fell away, changes an evening, it is warmed up anew.
        def leave(row, copies, fixed)
          gone, joined = [fixed.gone, fixed.joined].map { |found| found.slice(*copies.keys) }
          gone.each do |id, people|
            @piece.studio.slot_people.where(slot_id: copies.fetch(id).id, person_id: people).delete_all
          end
          joined.each { |id, people| call(copies.fetch(id), people, "dancer") }
          changed = (gone.keys | joined.keys).map { |id| copies.fetch(id).rehearsal_id }.uniq
          WarmUps.new(row, @season).redo(changed) if changed.any?
        end

        def write_all(row)
          ends = @plan.bookends.group_by(&:window)
          own = @plan.own.select(&:of).group_by(&:window)
          recaps = Recaps.new(row, @season, @tasks.values + @plan.lately, work.order)
          @plan.placements.group_by(&:window).each do |window, blocks|
            rehearsal = rehearsals.fetch(Records::Mapping::Identifiers.row(window))
            made = blocks.map { |block| slot(row, rehearsal, block) } + recaps.make(ends.fetch(window, []))
            made += own.fetch(window, []).map { |block| catch_up(row, rehearsal, block) }
            WarmUps.new(row, @season).make(rehearsal, made) unless @together
          end
        end

        def rehearsals
          @rehearsals ||=
            begin
              ids = @plan.placements.map { |each| Records::Mapping::Identifiers.row(each.window) }
              @piece.studio.rehearsals.where(id: ids).includes(:rooms).index_by(&:id)
            end
        end

        def work = @work ||= Records::Mapping::Works.load(@piece)

        # Which eights each part of a lesson holds: {placement => [first, last]}.
        def eights
          @eights ||= @plan.placements.group_by(&:task).each_with_object({}) do |(id, parts), found|
            whole = whole(@tasks.fetch(id)) or next
            soon = held(id)
            ranges = Core::Planning::LessonParts.of(@tasks.fetch(id), soon + parts.map(&:minutes), whole)
            parts.zip(ranges.drop(soon.size)) { |part, range| found[part] = range }
          end
        end

        # Minutes of the parts that evenings hold which stand as they were told.
        def held(id)
          fixed = @season.fixed.map(&:id)
          (@kept || []).select { |slot| slot.task_key == id && fixed.include?(slot.rehearsal_id) }.map(&:minutes)
        end

        # Eights of the section a lesson teaches; nil for other tasks.
        def whole(task)
          return unless %w[learn make].include?(task.kind)

          work.sections.find { |section| task.sections == [section.id] }&.rows&.size
        end

        def slot(plan, rehearsal, block)
          task = @tasks.fetch(block.task)
          row =
            create(
              plan,
              rehearsal,
              kind: task.kind,
              task_key: task.id,
              title: Reading::TaskTitles.of_part(task, eights[block], whole(task)),
              start_minute: rehearsal.start_minute + @season.warm_up + block.start,
              minutes: block.minutes,
              room_id: Records::Mapping::Identifiers.row(block.room),
              from_link: task.links&.min,
              to_link: task.links&.max,
              section_ids: task.sections,
              eights: eights[block],
              pinned: @pinned.include?([task.id, rehearsal.id])
            )
          invite(row, task, @plan.party(block))
        end

        # Whoever misses it by the calendar is not called to it.
        def invite(row, task, party)
          call(row, task.dancers - rows(party&.missing), "dancer")
          call(row, (task.choreographers | rows(party&.lead)) - task.dancers, "teacher")
          row
        end

        # A slot in which those who missed lessons by this plan are caught up.
        def catch_up(plan, rehearsal, block)
          task = @tasks.fetch(block.of)
          row = create(
            plan, rehearsal,
            kind: "catchup", task_key: Core::Planning::TaskKey.of("caught", Core::Planning::TaskKey.subject(task.id)),
            title: Reading::TaskTitles.of(task.with(kind: "catchup")),
            start_minute: rehearsal.start_minute + @season.warm_up + block.start,
            minutes: block.minutes, room_id: Records::Mapping::Identifiers.row(block.room), from_link: task.links&.min,
            to_link: task.links&.max, section_ids: task.sections
          )
          call(row, rows(block.who), "dancer")
          call(row, rows(block.lead), "teacher")
          row
        end

        def rows(ids) = Array(ids).map { |id| Records::Mapping::Identifiers.row(id) }

        def create(plan, rehearsal, **fields)
          Records::Slot.create!(studio_id: plan.studio_id, plan:, rehearsal:, **fields)
        end

        def call(slot, people, role)
          Records::SlotPerson.add_all(
            people.map { |person_id| { studio_id: slot.studio_id, slot_id: slot.id, person_id:, role: } }
          )
        end
      end
    end
  end
end
