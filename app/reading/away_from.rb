# frozen_string_literal: true

module App
  module Reading
    # Who cannot come for a third of a slot or more, as far as it is up to them.
    class AwayFrom
      def initialize(season) = @season = season

      # Ids of people.
      def of(slot)
        missing = on(slot.rehearsal).group_by { |entry| entry[:who] }.select { |_, entries| missed?(slot, entries) }
        missing.keys.map { |who| Records::Mapping::Identifiers.row(who) }
      end

      private

      def missed?(slot, entries)
        spans = entries.map { |entry| (entry[:from] || 0)...(entry[:to] || 1440) }
        minutes = (slot.start_minute...slot.end_minute).count { |at| spans.any? { |span| span.cover?(at) } }
        minutes * Core::Planning::Attendance::MISSED > slot.minutes
      end

      def on(rehearsal)
        @on ||= {}
        @on[rehearsal.id] ||= @season.availability
          .on(rehearsal.date.iso8601, opening: rehearsal.start_minute, closing: rehearsal.end_minute)
          .select { |entry| Records::Mapping::Identifiers.person?(entry[:who]) }
      end
    end
  end
end
