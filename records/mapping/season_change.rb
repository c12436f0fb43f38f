# frozen_string_literal: true

module Records
  module Mapping
    # What of a season would be otherwise, to see what it would do. freed: id of somebody who comes whenever it is up to
    # them; comes: [person id, day] of somebody who comes then after all; away: [person, first day, last day]; without:
    # id of a rehearsal that falls away; extra: a Thought; lost: id of a room.
    SeasonChange = Struct.new(:freed, :comes, :away, :without, :extra, :lost, keyword_init: true) do
      # [Rehearsal] as they would be.
      def rehearsals(rows) = rows.reject { |row| row.id == without }.concat([extra].compact)

      # [Room] that could be used.
      def rooms(rows) = rows.reject { |room| room.id == lost }

      # Core::Planning::Availability as it would be.
      def availability(said)
        who, date = comes
        said = said.coming(Identifiers.person(who), date.iso8601) if who
        freed ? said.freed(Identifiers.person(freed)) : said
      end
    end
  end
end
