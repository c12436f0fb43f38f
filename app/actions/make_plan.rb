# frozen_string_literal: true

module App
  module Actions
    # Tasks from the piece and its progress, a problem from the season, a plan from the solver, rows from the plan.
    # What is past in the plan people were told stays in the new one.
    class MakePlan
      Planning = Core::Planning
      private_constant :Planning

      def initialize(piece, account, now)
        @piece = piece
        @studio = piece.studio
        @account = account
        @now = now
        @work = Records::Mapping::Works.load(piece)
        @items = Items.of(piece, @work)
        @season = Records::Mapping::Seasons.new(piece, now:)
      end

      def run
        tasks = self.tasks
        hazards = @work.sections.flat_map(&:hazards).uniq
        problem = @season.problem(tasks, hazards:)
        plan = Planning::Solver.new(problem).plan
        Records::Plan.transaction { SavePlan.new(@piece, @account, plan, tasks, kept: past_slots, result: result(plan, tasks, problem)).run }
      end

      private

      def tasks
        progress = Records::Mapping::Learnings.progress(@piece)
        estimate = Planning::Estimate.new(under_eleven: @studio.setting("under_eleven"))
        Planning::Schools::AddOn.new(@work, items: @items, progress:, estimate:, runs: @piece.setting("full_runs"), done_runs: past_slots.count { |slot| slot.kind == "run" }).tasks
      end

      def past_slots
        @past_slots ||= begin
          plan = @piece.published_plan || @piece.latest_plan
          open = @season.open.map(&:id)
          plan ? plan.slots.includes(:slot_people, :rehearsal).reject { |slot| open.include?(slot.rehearsal_id) } : []
        end
      end

      def result(plan, tasks, problem)
        { "unplaced" => plan.unplaced.map { |id, minutes| { "task" => id, "title" => title(tasks, id), "minutes" => minutes } },
          "reasons" => plan.reasons.map { |reason| Planning::ReasonWriter.new(names(tasks)).text(reason) },
          "minutes" => tasks.sum(&:minutes), "rehearsals" => problem.windows.size, "made_at" => @now.iso8601, "cost" => plan.cost }
      end

      def title(tasks, id) = PlanTitles.of(tasks.find { |task| task.id == id })

      def names(tasks)
        people = @studio.people.pluck(:id, :name).to_h { |id, name| [Records::Mapping::Seasons.person(id), name] }
        people.merge(tasks.to_h { |task| [task.id, PlanTitles.of(task)] })
      end
    end
  end
end
