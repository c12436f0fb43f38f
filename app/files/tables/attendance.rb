# frozen_string_literal: true

module App
  module Files
    module Tables
      # Who was there: a row a dancer, a column a rehearsal up to today; and every entry by itself on a second sheet.
      class Attendance
        def initialize(studio, today)
          @studio = studio
          @today = today
        end

        def name = "attendance"
        def tables = [grid, entries]

        private

        def rehearsals = @rehearsals ||= @studio.rehearsals.standing.where(date: ..@today).to_a
        def dancers = @dancers ||= @studio.people.dancers.order(:name).to_a

        # {[person, rehearsal] => Records::Attendance}
        def said
          @said ||= @studio.attendances.where(rehearsal_id: rehearsals.map(&:id)).includes(:person)
            .index_by { |each| [each.person_id, each.rehearsal_id] }
        end

        def grid
          rows = dancers.map do |person|
            own = rehearsals.map { |rehearsal| said[[person.id, rehearsal.id]] }
            [person.name, own.compact.count(&:present), *own.map { |each| each && state(each) }]
          end
          columns = [heading("dancer"), heading("times_there"), *rehearsals.map { |each| each.date.iso8601 }]
          Formats::Table.new(name: I18n.t("files.tables.attendance"), columns:, rows:)
        end

        def entries
          days = rehearsals.index_by(&:id)
          kept = said.values.select(&:person).sort_by { |each| [days[each.rehearsal_id].date, each.person.name] }
          rows = kept.map do |each|
            minute = each.minute && Formats::Times.clock(each.minute)
            [days[each.rehearsal_id].date, each.person.name, state(each), minute, each.by_name]
          end
          columns = %w[date dancer state minute by].map { |column| heading(column) }
          Formats::Table.new(name: I18n.t("files.tables.attendance_entries"), columns:, rows:)
        end

        def state(each) = I18n.t("files.states.#{each.state}")
        def heading(column) = I18n.t("files.columns.#{column}")
      end
    end
  end
end
