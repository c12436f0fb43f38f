# frozen_string_literal: true

module Core
  module Planning
    # A task by index, as the solver works on it. steps: what is still to be placed; must: the set of those without whom
    # it is not done; may: the others, of whom `enough` are to come, and of each [set, number] in quotas so many;
    # people: must and may; leads: [[set, price in person-minutes], …], the cheapest first, of whom one set leads it,
    # empty where those who lead are among must; dancers: the set that a room has to hold; rate: new eights a step;
    # after, after_window, before, before_window: indexes of tasks; tail: steps on the longest way to the end; urgent: a
    # run is this, or waits for it; through: may use a rehearsal's first and last minutes, kept for recap and music;
    # due: the index of the last window that meets its aim, or nil; order: of its piece, 1 first;
    # days: ISO dates on which it may be rehearsed at all.
    Job =
      Struct.new(
        :at, :id, :kind, :steps, :split, :must, :may, :enough, :quotas, :leads, :dancers, :people, :size, :rate,
        :fresh, :after, :after_window, :before, :before_window, :run, :tail, :urgent, :through,
        :wheels, :marks, :due, :order, :days,
        keyword_init: true
      ) do
        def hash = at
        def ==(other) = equal?(other)
        alias_method :eql?, :==

        # The fewest dancers a room has to hold for it.
        def least_size = may.zero? ? size : Values::Bits.count(must & dancers) + enough

        # Whether everybody of it always comes, so that nothing depends on where it lies.
        def plain? = may.zero? && leads.empty?
      end

    # Tasks as jobs, linked by what waits for what.
    class Jobs
      # calendar: a Calendar; windows: those still open.
      def initialize(problem, calendar, windows)
        @problem = problem
        @calendar = calendar
        @windows = windows
        @order = problem.pieces.to_h { |piece| [piece[:id], piece[:order]] }
      end

      # [Job] of every task that is not done, by index.
      def all
        open = @problem.tasks.select { |task| @problem.left(task).positive? }
        at = open.each_with_index.to_h { |task, i| [task.id, i] }
        open.each_with_index.map { |task, i| job(task, i, at) }.tap { |jobs| link(jobs) }
      end

      private

      def job(task, index, places)
        Job.new(
          at: index, id: task.id, kind: task.kind, steps: @problem.left(task) / @problem.grid, split: task.split,
          run: task.run?, tail: 0, order: @order.fetch(task.piece, 1), marks: task.marks,
          through: task.through? || Bookends::KINDS.include?(task.kind), due: due(task),
          wheels: task.dancers.intersect?(@problem.wheels), days: task.first_day..task.last_day,
          **who(task), **fresh(task), **waits(task, places)
        )
      end

      def who(task)
        may = bits(task.may)
        people = bits(task.people)
        { must: people & ~may, may:, people:, enough: task.enough, size: task.dancers.size,
          quotas: task.groups.map { |group| [bits(group[:people]), group[:enough]] },
          dancers: bits(task.dancers), leads: leads(task) }
      end

      def leads(task)
        task.leads.map { |lead| [bits(lead[:people]), lead[:price]] }.sort_by.with_index { |(_, price), i| [price, i] }
      end

      def fresh(task)
        return { rate: 0.0, fresh: [] } if task.eights.zero?

        { rate: task.eights.to_f * @problem.grid / task.minutes,
          fresh: task.dancers.map { |who| @calendar.index[who] } }
      end

      def waits(task, places)
        { after: task.after.filter_map { |id| places[id] }, before: [], before_window: [],
          after_window: task.after_window.filter_map { |id| places[id] } }
      end

      def due(task)
        dates = @problem.aims.select { |aim| aim[:task] == task.id }.map { |aim| aim[:date] }
        dates.any? ? (@windows.rindex { |window| window.date <= dates.min } || -1) : nil
      end

      def link(jobs)
        jobs.each do |job|
          job.after.each { |i| jobs[i].before << job.at }
          job.after_window.each { |i| jobs[i].before_window << job.at }
        end
        by_id = jobs.to_h { |job| [job.id, job] }
        @problem.in_order.filter_map { |task| by_id[task.id] }.reverse_each { |job| weigh(job, jobs) }
      end

      def weigh(job, jobs)
        later = (job.before + job.before_window).map { |i| jobs[i] }
        job.tail = job.steps + (later.map(&:tail).max || 0)
        job.urgent = job.run || !job.due.nil? || later.any?(&:urgent)
      end

      def bits(ids) = @calendar.bits(ids)
    end
  end
end
