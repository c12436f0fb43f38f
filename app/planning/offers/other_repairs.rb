# frozen_string_literal: true

module App
  module Planning
    module Offers
      # Repairs that only the application knows of: what a director could change, as the form of What if says it.
      class OtherRepairs
        # So many of a kind are tried.
        MOST = 2
        SKETCH = "sketch"
        private_constant :MOST, :SKETCH

        # draft: Reading::PlanDraft of the piece as it is.
        def initialize(draft)
          @draft = draft
          @piece = draft.piece
          @studio = @piece.studio
        end

        # tasks: [Core::Planning::Task] that found no place.
        def gentle(tasks) = [*helpers(tasks), *days(tasks), *runs_without(tasks)]
        def changes(tasks) = [*plain(tasks), *sketch]

        private

        # Another grown-up of the team, the one who is away least, for the section of a lesson.
        def helpers(tasks)
          sections = taught(tasks).reject { |section| section.called_teachers.size > 1 }
          sections.first(MOST).filter_map do |section|
            free = candidates.reject { |id| section.teachers.include?(id) || dancing(section).include?(id) }
            best = free.min_by { |id| [@draft.season.away_shares.fetch(id, 0), candidates.index(id)] } or next
            { "change" => "helper", "section" => section.id.to_s, "teacher" => best.to_s }
          end
        end

        # Teachers of the piece first.
        def candidates
          @candidates ||= begin
            own = @draft.work.sections.flat_map(&:teachers).uniq
            Changes::Helper.of(@studio).order(:name).ids.sort_by { |id| own.include?(id) ? 0 : 1 }
          end
        end

        def dancing(section)
          @draft.work.order.links.select { |placed| placed.section.id == section.id }
            .flat_map { |placed| @draft.items.in_link(placed.index) }
        end

        # Sections of the lessons that found no place; where only runs did, of those whose teachers are there least.
        def taught(tasks)
          ids = tasks.select { |task| task.choreographers.any? }.flat_map(&:sections).uniq
          sections = @draft.work.sections.select { |section| section.choreographer && ids.include?(section.id) }
          sections.sort_by { |section| -away(section) }
        end

        def away(section) = @draft.season.away_shares.fetch(section.choreographer, 0)

        # A day more of whoever is away on several of the days ahead and without whom it cannot go ahead.
        def days(tasks)
          needed = Records::Mapping::Identifiers.rows(tasks.flat_map(&:must).uniq)
          absent.select { |who, dates| needed.include?(who) && dates.size > 1 }.first(MOST).map do |who, dates|
            { "change" => "comes", "person" => who.to_s, "date" => dates[dates.size / 2] }
          end
        end

        # {person id => [ISO date]} of whole days on which they are away by their own word, the most days first.
        def absent
          own = @draft.problem.unavailable.select { |entry| whole_day?(entry) }
          own.group_by { |entry| Records::Mapping::Identifiers.row(entry[:who]) }
            .transform_values { |entries| entries.map { |entry| entry[:date] }.uniq.sort }
            .sort_by { |_, dates| -dates.size }
        end

        def whole_day?(entry)
          Core::Planning::Problem.theirs?(entry) && entry[:from].nil? && entry[:to].nil? &&
            Records::Mapping::Identifiers.person?(entry[:who])
        end

        # Where runs found no place: the section that is set last need not be there in all of them.
        def runs_without(tasks)
          return [] if tasks.none?(&:run?) || @piece.setting("full_runs") - @draft.done_runs < 2

          absent = taught(@draft.tasks).select { |section| away(section).positive? }
          late = (taught(tasks) + absent).uniq.reject(&:run_without)
          late.first(1).map { |section| { "change" => "runs_without", "section" => section.id.to_s } }
        end

        def plain(tasks)
          links = tasks.select { |task| task.kind == "difference" }.flat_map(&:links)
          links = @draft.tasks.select { |task| task.kind == "difference" }.flat_map(&:links) if links.empty?
          links.first(MOST).map do |index|
            { "change" => "plain", "link" => @draft.work.links[index - 1].id.to_s }
          end
        end

        def sketch = @draft.school == SKETCH ? [] : [{ "change" => "school", "school" => SKETCH }]
      end
    end
  end
end
