# frozen_string_literal: true

module App
  module Planning
    module Offers
      # What a plan that was found would be worth against the draft there is, and the offer to take it.
      class Gain
        Identifiers = Records::Mapping::Identifiers
        private_constant :Identifiers
        # So many calls fewer are worth asking for.
        CALLS = 10

        # row: the draft; made: Actions::PlanWithReviews; draft: Reading::PlanDraft it was made from.
        def initialize(row, made, draft)
          @row = row
          @made = made
          @plan = made.plan
          @draft = draft
          @versions = Records::Piece.joins(:studio).where(id: row.piece_id, studio_id: row.studio_id)
            .pick(:work_version, "studios.season_version")
        end

        # Nothing is without a place that had one, no run fewer, and it is not ready later.
        def nothing_worse?
          return false if @plan.unplaced_minutes > unplaced || runs_of(@plan) < runs_now

          was.nil? || (!ready.nil? && ready <= was) || @plan.unplaced_minutes < unplaced
        end

        # Whether it saves a rehearsal or ten calls, or places what had no place.
        def worth_asking?
          @plan.unplaced_minutes < unplaced || rehearsals_sooner.positive? || calls_fewer >= CALLS
        end

        def offer
          @row.piece.plan_offers.where(kind: "better").delete_all
          @row.piece.plan_offers.create!(
            studio_id: @row.studio_id, account_id: @row.account_id, kind: "better", state: "done", share: 1,
            asked: { "plan" => @row.id.to_s, "soon" => @row.search["soon"] ? "1" : nil }.compact,
            facts:, plans: { "better" => PlanForOffer.new(@draft, @made.plan, made: @made).stored },
            work_version: @versions.first, season_version: @versions.last, created_at: Shared::Clock.now
          )
        end

        private

        def facts
          { ready:, was:, days: ready && was ? (Date.iso8601(was) - Date.iso8601(ready)).to_i : 0,
            calls: calls_fewer, placed: unplaced - @plan.unplaced_minutes, people: }
        end

        def unplaced = @row.result.fetch("unplaced", []).sum { |task| task["minutes"] }
        def was = @row.result["ready"]

        def ready = @draft.ready(@plan)

        # Rehearsals that lie between the two days on which they are ready.
        def rehearsals_sooner
          return 0 unless ready && was

          @plan.problem.windows.count { |window| window.date > ready && window.date <= was }
        end

        def calls_fewer = @row.result.key?("calls") ? @row.result["calls"] - @plan.calls.size : 0

        def runs_now = @row.slots.where(kind: "run", rehearsal_id: plannable).count

        def runs_of(plan)
          runs = plan.problem.tasks.select(&:run?).map(&:id)
          plan.placements.count { |each| runs.include?(each.task) }
        end

        def plannable = @plannable ||= @draft.season.plannable.map(&:id)

        # Ids of people who get other times than by the draft.
        def people
          changes = Core::Planning::CallDifference.new(by_the_draft, by_the_plan).all
          changes.keys.map(&:first).uniq.sort
        end

        # {[person id, rehearsal id] => [first minute, last minute]} without warming up.
        def by_the_draft
          slots = @row.slots.where(rehearsal_id: plannable).includes(:slot_people).reject(&:warm_up?)
          slots.each_with_object({}) do |slot, found|
            slot.slot_people.each do |called|
              key = [called.person_id, slot.rehearsal_id]
              found[key] = [*found[key], slot.start_minute, slot.end_minute].minmax
            end
          end
        end

        def by_the_plan
          windows = @plan.problem.windows.to_h { |window| [window.id, window.start] }
          @plan.calls.to_h do |call|
            from = windows.fetch(call.window)
            [[Identifiers.row(call.who), Identifiers.row(call.window)], [from + call.call, from + call.release]]
          end
        end
      end
    end
  end
end
