# frozen_string_literal: true

module App
  module Planning
    module Pages
      # Planning again after something happened: the plan repaired, and the plan made anew, each with what it changes
      # for people; the director picks.
      class Replanning < Shared::PiecePage
        Way = Struct.new(:key, :plan, :ready, :slip, :changes, :affected, keyword_init: true)

        def screen = :plan
        def title = "#{I18n.t('plans.again')} · #{piece.title}"
        def known = @known ||= draft.plan
        def ways = @ways ||= %w[repair anew].map { |key| way(key) }
        def upset = @upset ||= (plan = piece.latest_plan) ? Reading::PlanConflicts.of(plan, piece, now) : []
        def names(ids) = ids.filter_map { |id| people[id]&.name }

        # Who comes to other rehearsals than now, in words.
        def affected_text(way)
          who = Shared::Lists.of(names(way.affected), 8)
          I18n.t("plans.affected", count: way.affected.size, names: who)
        end

        # What of a way finds no place, by name.
        def unplaced(way) = way.plan.unplaced.keys.map { |id| draft.names.fetch(id) }.to_sentence

        private

        def draft = @draft ||= Reading::PlanDraft.new(piece, now)

        def way(key)
          plan = Actions::Make.new(piece, nil, now, way: key, draft:).solve
          ready = plan.complete? ? date(plan.ready_window) : nil
          Way.new(
            key:,
            plan:,
            ready:,
            slip: ready && promised ? (ready - promised).to_i : nil,
            changes: plan.changes.to_h,
            affected: affected(plan)
          )
        end

        def date(window)
          draft.problem.windows.find { |each| each.id == window }&.then { |each| Date.iso8601(each.date) }
        end

        # The day on which the plan people know has its last run.
        def promised
          @promised ||= known&.slots&.select { |slot| slot.kind == "run" }&.map { |slot| slot.rehearsal.date }&.max
        end

        # People whose rehearsals or times differ: [person id].
        def affected(plan)
          told =
            draft.season.placements(known).group_by(&:window)
              .transform_values { |same| same.flat_map { |each| known_people(each.task) }.uniq }
          now_called =
            plan.calls.group_by(&:window)
              .transform_values { |same| same.map { |call| Records::Mapping::Identifiers.row(call.who) } }
          (told.keys | now_called.keys)
            .flat_map do |window|
              (told.fetch(window, []) | now_called.fetch(window, [])) -
                (told.fetch(window, []) & now_called.fetch(window, []))
            end
            .uniq
        end

        def known_people(task)
          @known_people ||=
            known.slots.includes(:slot_people).to_h { |slot| [slot.task_key, slot.slot_people.map(&:person_id)] }
          @known_people.fetch(task, [])
        end
      end
    end
  end
end
