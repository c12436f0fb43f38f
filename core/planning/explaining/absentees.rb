# frozen_string_literal: true

module Core
  module Planning
    # Whoever is away in every rehearsal that is left, and what needs them: the gravest reason there is, told before any
    # rehearsal is counted. Only what is up to people: other work and the hours of minors are no absence.
    class Absentees
      # indexed: IndexedProblem; windows: those still open.
      def initialize(problem, indexed, windows)
        @problem = problem
        @indexed = indexed
        @windows = windows
        @own = problem.unavailable.select { |entry| Problem.theirs?(entry) }.group_by { |entry| entry[:who] }
      end

      # jobs: those that found no place. [Reason], the most minutes first.
      def of(jobs)
        pairs = jobs.flat_map { |job| gone(job).map { |who| [who, job] } }
        reasons = pairs.group_by(&:first).map { |who, own| reason(who, own.map(&:last)) }
        reasons.sort_by { |reason| [-reason.need, reason.who.first.to_s] }
      end

      private

      def gone(job)
        people = Values::Bits.to_a(job.must).map { |bit| @indexed.people[bit] }
        people.select { |who| @own.key?(who) && @windows.none? { |window| here?(who, window) } }
      end

      # Whether somebody is there for any of a window.
      def here?(who, window)
        free = [[window.start, window.finish]]
        @own[who].select { |entry| entry[:date] == window.date }.each do |entry|
          from = entry[:from] || 0
          to = entry[:to] || 1440
          free = free.flat_map { |first, last| [[first, [last, from].min], [[first, to].max, last]] }
        end
        free.any? { |first, last| last - first >= @problem.grid }
      end

      def reason(who, jobs)
        from, to = days(who)
        Reason.new(
          type: :away,
          who: [who],
          need: jobs.sum { |job| @indexed.minutes(job.steps) },
          have: 0,
          tasks: jobs.map(&:id),
          windows: @windows.map(&:id),
          from:,
          to:
        )
      end

      # The days somebody said, where they are known; else from the first rehearsal to the last.
      def days(who)
        first, last = [@windows.first, @windows.last].map(&:date)
        @problem.availability&.absent_between(who, first, last) || [first, last]
      end
    end
  end
end
