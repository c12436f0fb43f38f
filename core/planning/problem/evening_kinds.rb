# frozen_string_literal: true

module Core
  module Planning
    # What an evening of its kind takes: a technical rehearsal places what is known, a dress rehearsal is a run, a photo
    # call and a show are no rehearsals. Nothing new is set where the calendar says so, and nothing is danced full out
    # on the evening before a show.
    class EveningKinds
      TAKES = { "technical" => %w[place run], "dress" => %w[run], "photo" => [], "show" => [] }.freeze

      def initialize(problem)
        shows = problem.windows.select { |window| window.kind == "show" }.map(&:day)
        shows << Date.iso8601(problem.show_date).jd if problem.show_date
        @eves = shows.map { |day| day - 1 }
      end

      # Whether a job may lie in a window.
      def takes?(job, window)
        takes = TAKES[window.kind]
        return false if takes && !takes.include?(job.kind)
        return false if window.no_new && job.rate.positive?

        !(job.marks.include?("full_out") && @eves.include?(window.day))
      end
    end
  end
end
