# frozen_string_literal: true

module App
  module Reading
    # What a plan of a piece is made from: its tasks by a school, and the season as a problem. A change alters one thing
    # to see what it would do (Planning::Changes).
    class PlanDraft
      Planning = Core::Planning
      private_constant :Planning

      # Person-minutes that somebody else's leading counts for.
      STEAD = 30
      private_constant :STEAD

      attr_reader :piece, :now, :what_if

      # apart: pieces planned together with it, of which nothing is taken as fixed; soon: whether what was told for the
      # next days may change too.
      def initialize(piece, now, what_if: AsItIs.new, apart: [], soon: false)
        @apart = apart
        @soon = soon
        @piece = piece
        @studio = piece.studio
        @now = now
        @what_if = what_if
      end

      def school = what_if.school || piece.setting("school")
      # The piece as it would be.
      def changed = @changed ||= what_if.piece(piece)
      def work = @work ||= with_whoever_is_there(what_if.work(snapshot.work))

      def items
        same = work.equal?(snapshot.work) && what_if.leaving.nil?
        @items ||= same ? snapshot.items : LearningItems.of(piece, work, without: what_if.leaving)
      end

      # The season; nothing stands of an evening, and of those after it, in which something told waits for what is not
      # held before it any more.
      def season
        @season || begin
          change = Records::Mapping::SeasonChange.new(**what_if.season)
          @season = Records::Mapping::Seasons.new(changed, now:, apart: @apart, soon: @soon, change:)
          broken = FixedSlots.new(self).broken_from
          @season.opens_from(broken) if broken
          @season
        end
      end

      def tasks
        @tasks ||=
          Planning::Schools::ALL.fetch(school, Planning::Schools::AddOn)
            .new(work, items:, progress:, estimate:, recut:, **wishes)
            .tasks.map { |task| in_time(task) }
      end

      def task(key) = (@by_key ||= tasks.to_h { |each| [each.id, each] })[key]
      def progress = snapshot.progress

      # With all that was asked of the season already, to be used over what people learn meanwhile.
      def prepared
        wishes
        work
        self
      end

      # The same draft over another snapshot of the same work.
      def over(snapshot)
        dup.tap { |draft| draft.begin_over(snapshot) }
      end

      # Where one of several teachers is enough, the one who is away least is called.
      def with_whoever_is_there(work)
        shared = work.sections.select { |section| section.teachers_needed == "one" && section.co_teachers.any? }
        shared.reduce(work) do |changed, section|
          called = section.teachers.min_by { |id| [season.away_shares.fetch(id, 0), section.teachers.index(id)] }
          Core::Joins::Edit.section(changed, section.id) { |each| each.with(planned_by: called) }
        end
      end

      def estimate
        @estimate ||=
          Planning::Estimate.new(
            under_eleven: @studio.setting("under_eleven"),
            factors: Records::Mapping::Seasons.factors(@studio)
          )
      end

      def problem(**more)
        @problem ||= season.problem(tasks, hazards:, done: fixed.done)
        more.empty? ? @problem : @problem.with(**more)
      end

      def hazards = danced.all_hazards

      # Sections in which somebody is lifted, or leans on somebody.
      def lifts = work.sections.select { |section| danced.hazards(section).include?("lift") }.map(&:id)

      # Names of people, tasks and rehearsals, for sentences.
      def names
        @names ||= {
          **@studio.people.pluck(:id, :name).to_h { |id, name| [Records::Mapping::Identifiers.person(id), name] },
          **tasks.to_h { |task| [task.id, TaskTitles.of(task)] },
          **season.rehearsals.to_h do |rehearsal|
            [Records::Mapping::Identifiers.window(rehearsal.id), Shared::Dates.day(rehearsal.date)]
          end
        }
      end

      # What of the plan people were told stands for the next days.
      def fixed = @fixed ||= FixedSlots.new(self)

      # ISO date on which a plan made from it has its last run, those that stand as they were told counted; or nil.
      def ready(plan)
        problem.windows.find { |window| window.id == plan.ready_window }&.date || fixed.last_run
      end

      # Slots of the standing plan that a new one takes over as they are. rehearsals: ids of those that were fixed when
      # it was worked out.
      def kept_slots(rehearsals = season.fixed.map(&:id))
        past_slots + fixed.slots.select { |slot| rehearsals.include?(slot.rehearsal_id) }
      end

      # Slots of the standing plan that lie behind us.
      def past_slots
        @past_slots ||=
          plan ? plan.slots.includes(:slot_people, :rehearsal).select { |slot| behind?(slot.rehearsal) } : []
      end

      # The plan people were told, else the newest.
      def plan = @plan ||= piece.published_plan || piece.latest_plan

      # Full runs that lie behind us.
      def done_runs
        plan ? plan.slots.where(kind: "run").includes(:rehearsal).count { |slot| behind?(slot.rehearsal) } : 0
      end

      protected

      def begin_over(snapshot)
        @snapshot = snapshot
        @tasks = @by_key = @names = @problem = @fixed = nil
      end

      private

      def snapshot = @snapshot ||= PieceSnapshots.of(piece)

      # Who was not there when something was taught, by the register: {item key => [person id]}.
      def missed
        rows =
          @studio.attendances
            .joins(
              "JOIN slots ON slots.rehearsal_id = attendances.rehearsal_id JOIN slot_people ON " \
              "slot_people.slot_id = slots.id AND slot_people.person_id = attendances.person_id"
            )
            .where(present: false, slots: { plan_id: plan&.id, kind: %w[learn make] })
            .distinct
            .pluck("slots.task_key", :person_id)
        rows.group_by { |key, _| Core::Planning::TaskKey.subject(key) }.transform_values { |same| same.map(&:last) }
      end

      # What cleaning has been given already: {task key => minutes}.
      def held
        rows =
          plan ? plan.slots.where(kind: "clean").includes(:rehearsal).select { |slot| behind?(slot.rehearsal) } : []
        rows.group_by(&:task_key).transform_values { |same| same.sum { |slot| slot.actual_minutes || slot.minutes } }
      end

      def behind?(rehearsal) = rehearsal.cancelled_at.nil? && season.past?(rehearsal)

      # How far each section has been taught: {section id => eights}.
      def reached = TaughtSoFar.new(piece).to_h

      def wishes
        @wishes ||= { runs: setting("full_runs"), done_runs:, away: season.away_shares, cleaning: setting("cleaning"),
                      made:, today: now.to_date, missed:, quorum: setting("quorum"), reached:, held:, lifts:, leaders:,
                      drills: DrillWishes.of(piece, work.order, items, today: now.to_date) }
      end

      # Keys of joins that were danced clean in two runs.
      def made
        runs = Records::Mapping::Runs.new(piece, work.order)
        Core::Running::MadeJoins.new(runs.all, work.order).all.map { |index| items.of_join(index).key }
      end

      # What changed since it was taught, and who has it as it was.
      def recut
        found = Recut.new(piece, items, progress)
        found.eights.to_h { |key, eights| [key, { eights:, people: found.people.fetch(key) }] }
      end

      # Grown-ups of the team who may lead a run in a teacher's stead: {person id => price}.
      def leaders
        staff = @studio.memberships.where(role: %w[assistant director]).where.not(person_id: nil).pluck(:person_id)
        @studio.people.present.where(id: staff, adult: true).pluck(:id).to_h { |id| [id, STEAD] }
      end

      # Nothing new after the day on which a piece is to be set.
      def in_time(task)
        set_on = season.deadlines["set_on"]
        task.eights.positive? && set_on ? task.with(last_day: set_on.iso8601) : task
      end

      def danced = @danced ||= Core::Piece::Danced.new(work, vocabulary: @studio.vocabulary)
      def setting(name) = changed.setting(name)
    end
  end
end
