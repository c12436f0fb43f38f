# frozen_string_literal: true

module Records
  module Mapping
    # A studio's absences, dates of visiting choreographers and latest hour => Core::Planning::Availability.
    class Availabilities
      # care: Core::Planning::Care; warm_up: minutes before the work it is asked for; away: who would be away besides,
      # [person, first day, last day].
      def self.of(studio, care:, warm_up:, away: nil) = new(studio, away).availability(care:, warm_up:)

      def initialize(studio, away = nil)
        @studio = studio
        @away = away
      end

      def availability(**care)
        Core::Planning::Availability.new(
          absences: @studio.absences.order(:id).map { |row| absence(row) } + thought,
          visits:,
          minors: ids(@studio.people.where(adult: false, dances: true)),
          dancing: ids(@studio.people.where(dances: true)),
          latest: @studio.setting("latest_finish"),
          homes:,
          school: SeasonDays.new(@studio).school,
          eve: @studio.setting("school_eve"),
          **care
        )
      end

      private

      # {who => minute} of minors whose age band says when they are home.
      def homes
        latest = @studio.setting("latest_finish")
        @studio.people.where(adult: false).where.not(band: nil).order(:id).pluck(:id, :band)
          .to_h { |id, band| [Identifiers.person(id), Core::Planning::AgeBands.home_by(band, latest)] }
      end

      def ids(people) = people.order(:id).ids.map { |id| Identifiers.person(id) }

      def thought
        return [] unless @away

        who, first, last = @away
        days = { from_date: first.iso8601, to_date: last.iso8601, from: nil, to: nil }
        [{ who: Identifiers.person(who.id), **days }]
      end

      def absence(row)
        {
          who: Identifiers.person(row.person_id),
          from_date: row.from_date.iso8601,
          to_date: row.to_date.iso8601,
          from: row.from_minute,
          to: row.to_minute
        }
      end

      # Choreographers who named dates can come on these only.
      def visits
        @studio.visits.order(:date, :person_id).pluck(:person_id, :date).group_by(&:first)
          .to_h { |person, rows| [Identifiers.person(person), rows.map { |_, date| date.iso8601 }] }
      end
    end
  end
end
