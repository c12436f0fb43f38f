# frozen_string_literal: true

module Records
  module Mapping
    # A studio's closed days, holidays and exams => what Core::Planning needs.
    class SeasonDays
      def initialize(studio) = @studio = studio

      # Core::Planning::SchoolDays: no school where the studio is closed for all, or in the holidays.
      def school
        free = rows.select { |row| row.kind == "holiday" }.map { |row| [row.from_date.iso8601, row.to_date.iso8601] }
        Core::Planning::SchoolDays.new(free:)
      end

      # Whether the studio is closed on a date.
      def closed?(date) = rows.any? { |row| row.kind == "closed" && row.days.cover?(date) }

      # [{who: ids or nil, from:, to:}].
      def exams
        rows.select { |row| row.kind == "exam" }.map do |row|
          { who: row.group_id && members(row.group_id), from: row.from_date.iso8601, to: row.to_date.iso8601 }
        end
      end

      private

      def rows = @rows ||= @studio.season_days.order(:from_date, :id).to_a

      def members(group_id)
        GroupMember.where(studio_id: @studio.id, group_id:).pluck(:person_id).map { |id| Identifiers.person(id) }
      end
    end
  end
end
