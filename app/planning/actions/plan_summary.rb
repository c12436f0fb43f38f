# frozen_string_literal: true

module App
  module Planning
    module Actions
      # What of a plan is kept beside its slots: what found no place and why, what would help, what waits for what,
      # figures.
      class PlanSummary
        # made: Refreshed.
        def initialize(draft, made)
          @draft = draft
          @made = made
          @plan = made.plan
          @tasks = draft.tasks.to_h { |task| [task.id, task] }
        end

        def to_h
          {
            "unplaced" => unplaced,
            "reasons" => sentences,
            "proven" => @plan.proven_impossible?,
            "repairs" => repairs,
            "minutes" => @draft.tasks.sum(&:minutes),
            "rehearsals" => @draft.problem.windows.size,
            "made_at" => @draft.now.iso8601,
            "cost" => @plan.cost,
            "rank" => @plan.rank,
            "school" => @draft.school,
            "ready" => @draft.ready(@plan),
            "waiting" => @plan.calls.sum(&:waiting),
            "calls" => @plan.calls.size,
            "waits" => waits,
            "without" => without.presence,
            "fading" => @made.fading.presence,
            "changes" => @plan.changes&.to_h&.transform_keys(&:to_s)
          }.compact
        end

        private

        def repairs
          @plan.repairs.map { |repair| { "text" => repair_text(repair), "asked" => world.asked(repair) } }
        end

        def repair_text(repair)
          return world.text(repair) if repair.kind == :change

          days = repair.window ? { repair.window.date => Shared::Dates.day(Date.iso8601(repair.window.date)) } : {}
          names = { **@draft.names, **days }
          Core::Planning::RepairWriter.new(names, say: I18n.method(:t), hours: world.method(:hours)).text(repair)
        end

        def world = @world ||= Offers::RepairWorld.new(@draft.piece, @draft.now)

        def unplaced
          @plan.unplaced.map do |id, minutes|
            { "task" => id, "title" => Reading::TaskTitles.of(@tasks[id]), "minutes" => minutes }
          end
        end

        def sentences
          writer = Shared::Wording.reasons(@draft.names)
          @plan.reasons.map { |reason| writer.text(reason) }
        end

        # [[kind, date], …] of recaps and music that found no time.
        def without = @plan.missing_bookends.map { |wish| [wish.kind, @draft.problem.windows[wish.window].date] }.uniq

        # {task => [what it comes after, what it comes a rehearsal after]}.
        def waits
          @draft.tasks.reject { |task| task.before.empty? }.to_h { |task| [task.id, [task.after, task.after_window]] }
        end
      end
    end
  end
end
