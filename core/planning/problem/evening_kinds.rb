# frozen_string_literal: true

module Core
  module Planning
    # What an evening of its kind takes: a technical rehearsal places what is known, a dress rehearsal is a run, a photo
    # call and a show are no rehearsals. Nothing new is set where the calendar says so, and nothing is danced full out
    # on the evening before a show; who writes exams does neither. What has a first or a last day
    # keeps to it.
    class EveningKinds
      TAKES = { "technical" => %w[place run], "dress" => %w[run], "photo" => [], "show" => [] }.freeze

      # calendar: a Calendar of the problem.
      def initialize(problem, calendar)
        shows = problem.windows.select { |window| window.kind == "show" }.map(&:day)
        dates = [problem.show_date, *problem.pieces.map { |piece| piece[:show] }].compact
        @eves = (shows + dates.map { |date| Date.iso8601(date).jd }).map { |day| day - 1 }
        @exams = problem.exams.map do |exam|
          [calendar.bits((exam[:who] || calendar.people) & calendar.people), exam[:from]..exam[:to]]
        end
      end

      # Whether a job may lie in a window.
      def takes?(job, window)
        takes = TAKES[window.kind]
        return false if takes && !takes.include?(job.kind)

        fresh = job.rate.positive?
        full_out = job.marks.include?("full_out")
        return false if !job.days.cover?(window.date) || (fresh && window.no_new)

        !(full_out && @eves.include?(window.day)) && !((fresh || full_out) && exams?(job, window))
      end

      private

      # Whether anybody who dances it writes exams then.
      def exams?(job, window)
        @exams.any? { |set, days| days.cover?(window.date) && set.anybits?(job.dancers) }
      end
    end
  end
end
