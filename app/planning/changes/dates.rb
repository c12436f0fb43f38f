# frozen_string_literal: true

module App
  module Planning
    module Changes
      # The show, or another of the piece's dates, on another day.
      class Dates < Change
        def self.names = ["show", *Records::Piece::DEADLINES]

        def valid? = Dates.names.include?(which) && !day.nil?

        def facts
          return { show_date: day } if which == "show"

          settings("deadlines" => @piece.setting("deadlines").merge(which => day.iso8601))
        end

        private

        def which = @asked["which"]
        def day = @day ||= date("date")
        def words = { what: I18n.t("what_if.dates_of.#{which}"), day: Shared::Dates.day(day) }
        def accept = accept_facts
      end
    end
  end
end
