# frozen_string_literal: true

module App
  module Files
    module Tables
      # What the told plans ask of everybody: rehearsals, minutes of work, minutes of waiting; over all, and by week.
      class Loads
        def initialize(studio, _today)
          @studio = studio
        end

        def name = "loads"
        def tables = [whole, by_week]

        private

        def people = @people ||= @studio.people.index_by(&:id)
        def rehearsals = @rehearsals ||= @studio.rehearsals.standing.index_by(&:id)

        # [[person, rehearsal id, start, minutes], …] of the work people were told.
        def rows
          @rows ||= Reading::StandingSlots.standing(@studio, rehearsals.values).work.joins(:slot_people)
            .pluck("slot_people.person_id", :rehearsal_id, :start_minute, :minutes)
        end

        def whole = table("loads", ["name"], burdens(rows).map { |each| [name_of(each), *figures(each)] })

        def by_week
          weeks = rows.group_by { |_, rehearsal, _, _| rehearsals.fetch(rehearsal).date.beginning_of_week }
          found = weeks.sort.flat_map do |monday, own|
            burdens(own).map { |each| [monday, name_of(each), *figures(each)] }
          end
          table("loads_by_week", %w[week name], found)
        end

        def burdens(some)
          Core::Planning::Burden.all(some).select { |each| people[each.who] }.sort_by { |b| name_of(b) }
        end

        def name_of(burden) = people.fetch(burden.who).name
        def figures(burden) = [burden.calls, burden.work, burden.waiting]

        def table(name, first, rows)
          columns = [*first, "rehearsals", "work", "waiting"].map { |column| I18n.t("files.columns.#{column}") }
          Formats::Table.new(name: I18n.t("files.tables.#{name}"), columns:, rows:)
        end
      end
    end
  end
end
