# frozen_string_literal: true

module App
  module Planning
    module Offers
      # Planning again after something happened, both ways: the plan repaired, and the plan made anew.
      class Replanning < Solving
        WAYS = %w[repair anew].freeze

        private

        def steps = WAYS.map { |way| -> { made(way, draft) } }

        def answer(worked)
          ways = WAYS.zip(worked)
          { facts: { ways: ways.map { |key, offered| facts(key, offered) } },
            plans: ways.to_h { |key, offered| [key, offered.stored] } }
        end

        def facts(key, offered)
          plan = offered.plan
          {
            key:,
            ready: offered.figures.ready,
            slip: slip(offered.figures.ready),
            unplaced: plan.unplaced_minutes,
            without: plan.unplaced.keys.map { |id| draft.names.fetch(id) },
            changes: plan.changes.to_h,
            waiting: offered.figures.waiting,
            affected: affected(plan)
          }
        end

        # Days after the day on which the plan people know has its last run.
        def slip(ready)
          runs = draft.plan ? draft.plan.slots.includes(:rehearsal).select { |slot| slot.kind == "run" } : []
          promised = runs.map { |slot| slot.rehearsal.date }.max
          ready && promised && (Date.iso8601(ready) - promised).to_i
        end

        # People who come to other rehearsals than now: [person id].
        def affected(plan)
          called = plan.calls.to_h { |call| [[Records::Mapping::Identifiers.row(call.who), call.window], true] }
          Core::Planning::CallDifference.new(known_calls, called).other_calls.map(&:first).uniq
        end

        # {[person id, window] => true} of the plan people go by.
        def known_calls
          return {} unless draft.plan

          ahead = draft.season.plannable.map(&:id)
          slots = draft.plan.slots.work.where(rehearsal_id: ahead).includes(:slot_people)
          slots.each_with_object({}) do |slot, found|
            window = Records::Mapping::Identifiers.window(slot.rehearsal_id)
            slot.slot_people.each { |called| found[[called.person_id, window]] = true }
          end
        end
      end
    end
  end
end
