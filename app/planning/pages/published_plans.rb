# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The plans people were told, the newest first, each with what it changed; or one of them, rehearsal by rehearsal.
      class PublishedPlans < Reading::PiecePage
        Version = Struct.new(:plan, :ready, :changes, :standing, keyword_init: true)
        NAMES = 5

        # version: the plan to be shown whole, or nil.
        def initialize(version: nil, **page)
          super(**page)
          @plan = version
        end

        def screen = :plan
        def title = "#{I18n.t('plans.told')} · #{piece.title}"
        def versions = @versions ||= plans.each_with_index.map { |plan, i| version(plan, plans[i + 1]) }

        # The one that is shown.
        def version_shown = @version_shown ||= version(@plan, plans[plans.index(@plan) + 1])
        def day_of(plan) = piece.studio.local(plan.published_at)

        # [[rehearsal, its slots], …] in order of dates; those that were ahead when it was told, then those behind.
        def ahead = rehearsals.reject { |rehearsal, _| behind?(rehearsal) }
        def behind = rehearsals.select { |rehearsal, _| behind?(rehearsal) }

        def who(slot)
          (@names ||= Shared::CallNames.new(piece)).of(
            slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
          )
        end

        def teachers(slot)
          slot.slot_people
            .select { |called| called.role == "teacher" }
            .filter_map { |called| people[called.person_id]&.name }
            .join(", ")
        end

        # [[names, [what changed]], …] of the version shown, against the one before; the same for several
        # is said once.
        def changes
          told =
            version_shown.changes.slice(*people.keys).map { |id, list| [people[id].name, list.map(&:text)] }
          told.group_by(&:last)
            .map { |texts, same| [Shared::Lists.of(same.map(&:first).sort, NAMES), texts] }
            .sort_by { |names, _| names }
        end

        private

        def rehearsals
          @rehearsals ||=
            @plan.slots.includes(:rehearsal, :room, :slot_people).group_by(&:rehearsal)
              .sort_by { |rehearsal, _| [rehearsal.date, rehearsal.start_minute] }
        end

        def behind?(rehearsal)
          at = day_of(@plan)
          ([rehearsal.date, rehearsal.start_minute] <=> [at.to_date, (at.hour * 60) + at.min]) <= 0
        end

        def plans = @plans ||= piece.plans.where.not(published_at: nil).order(published_at: :desc, number: :desc).to_a

        def version(plan, before)
          changes = Reading::CallDifference.new(piece, before, plan, day_of(plan).to_date).all
          ready = plan.result["ready"]
          Version.new(
            plan:,
            ready: (Date.iso8601(ready) if ready),
            changes:,
            standing: plan.replaced_at.nil?
          )
        end
      end
    end
  end
end
