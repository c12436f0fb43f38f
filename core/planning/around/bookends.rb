# frozen_string_literal: true

module Core
  module Planning
    # Recap first, today's material to music last: finds each wish (BookendWishes) a place in its rehearsal, where its
    # dancers wait least for it. Together at the edge of the rehearsal, or each material beside its own lesson,
    # whichever costs less; where neither goes, the rehearsal's blocks are set anew around it in the order they had.
    # Time kept for a recap that nobody needs is closed up.
    #
    #   Bookends.new(problem, plan.placements).all  # => [Bookend, …]
    class Bookends
      include BlockReordering

      KINDS = %w[recap to_music].freeze
      # start: minutes after the window's start; tasks: ids of the material.
      Bookend =
        Struct.new(:kind, :window, :start, :minutes, :room, :dancers, :choreographers, :tasks, keyword_init: true) do
          # The minute of the rehearsal's clock at which it ends.
          def end = start + minutes

          # Everybody called to it.
          def people = dancers | choreographers
        end

      # fixed: ids of windows in which nothing is moved for it.
      def initialize(problem, placements, fixed: [])
        @problem = problem
        @fixed = fixed
        @wishes = BookendWishes.new(problem, placements).all
        @choices = @wishes.each_with_index.to_h { |wish, i| [wish, choices(wish, i)] }
        prepare(placements)
      end

      # [Bookend] that found a place.
      def all
        search
        @wishes.flat_map { |wish| @chosen.fetch(wish, []) }.map { |job| bookend(job) }
      end

      # Wishes for which there was no place.
      def missing
        search
        @wishes.reject { |wish| @chosen.key?(wish) }
      end

      # The table with everything on it.
      def table = search && @table

      # The placements of all tasks, some moved within their rehearsal.
      def placements
        search
        @work.flat_map { |job| @table.blocks[job.at].map { |block| place(job, block) } }
      end

      private

      # Ways to do a wish, each a list of tasks: together with the teachers, each material by itself, together without
      # them.
      def choices(wish, index)
        alone =
          wish.parts.each_with_index.map do |(task, dancers), i|
            task_for(wish, "#{index}-#{i}", dancers, task.choreographers & wish.choreographers, [task])
          end
        whole = task_for(wish, "#{index}-all", wish.dancers, wish.choreographers, wish.tasks)
        [
          [whole],
          (alone if alone.size > 1),
          ([task_for(wish, "#{index}-led", wish.dancers, [], wish.tasks)] if wish.choreographers.any?)
        ].compact
      end

      def task_for(wish, number, dancers, choreographers, tasks)
        Task.new(
          id: "#{wish.kind}-#{number}",
          kind: wish.kind,
          minutes: @problem.public_send(wish.kind),
          dancers:,
          choreographers:,
          sections: tasks.map(&:id)
        )
      end

      def prepare(placements)
        extra = @choices.values.flatten
        @extra = extra.to_h { |task| [task.id, task] }
        @frame = IndexedProblem.new(
          @problem.with(tasks: @problem.tasks + extra, recap: 0, to_music: 0, price_list: nil)
        )
        @table = Table.new(@frame)
        @places = Places.new(@table)
        @work = @frame.jobs.reject { |job| @extra.key?(job.id) }
        windows = @frame.windows.each_with_index.to_h { |window, i| [window.id, i] }
        placements.each { |each| put(each, windows.fetch(each.window)) }
      end

      def put(placement, window)
        room = @frame.windows[window].rooms.index { |id, _| id == placement.room }
        job = @frame.job(placement.task)
        lead = @frame.lead_of(job, placement)
        from, steps = [placement.start, placement.minutes].map { |minutes| minutes / @problem.grid }
        @table.put(job, window, from, steps, room, lead)
      end

      # Once: {wish => its jobs}.
      def search
        return @chosen if @chosen

        @chosen = {}
        @wishes.group_by(&:window).each { |window, wishes| fit(window, wishes) }
        @frame.steps.each_index { |window| close_up(window) } if @problem.recap.positive?
        @chosen
      end

      def fit(window, wishes)
        choose_all(window, wishes)
        return unless wishes.any? { |wish| !@chosen.key?(wish) } && !@fixed.include?(@frame.windows[window].id)

        around(window, wishes)
      end

      def choose_all(window, wishes)
        lessons = @table.busy(window).dup
        wishes.each do |wish|
          found = best(wish, lessons)
          commit(wish, found) if found
        end
      end

      # The cheapest way of doing a wish: [[job, place], …], or nil.
      def best(wish, lessons)
        tried = @choices[wish].filter_map { |tasks| attempt(wish, tasks.map { |task| @frame.job(task.id) }, lessons) }
        tried.min_by.with_index { |(cost, _), i| [cost, i] }&.last
      end

      # Puts a list of jobs and takes them out again: [what it then costs, places], or nil when one finds no place.
      def attempt(wish, jobs, lessons)
        placed = jobs.map do |job|
          found = @places.cheapest_in(job, wish.window, *edge(wish, job, lessons)) or break
          @table.put(job, wish.window, found[1], found[2], found[4])
          [job, found]
        end
        placed && [@table.window_cost(wish.window), placed]
      ensure
        jobs.each { |job| @table.take(job) }
      end

      # Steps between which it may be: before the first lesson of its dancers, or after the lessons that held the
      # material, and after all their lessons when it is danced together.
      def edge(wish, job, lessons)
        people = @frame.bits(@extra[job.id].dancers)
        return [0, lessons.index { |set| set.anybits?(people) } || lessons.size] if wish.kind == "recap"
        if @choices[wish].none? { |tasks| tasks.size > 1 && tasks.any? { |task| task.id == job.id } }
          return (lessons.rindex { |set| set.anybits?(people) } || -1) + 1, lessons.size
        end

        taught =
          @extra[job.id].sections.flat_map do |id|
            @table.blocks[@frame.job(id).at].select { |block| block.window == wish.window }
          end
        [taught.map(&:end).max, lessons.size]
      end

      def commit(wish, placed)
        placed.each { |job, found| @table.put(job, wish.window, found[1], found[2], found[4]) }
        @chosen[wish] = placed.map(&:first)
      end

      def bookend(job)
        task = @extra[job.id]
        at = place(job, @table.blocks[job.at].first)
        Bookend.new(
          kind: task.kind,
          window: at.window,
          start: at.start,
          minutes: at.minutes,
          room: at.room,
          dancers: task.dancers,
          choreographers: task.choreographers,
          tasks: task.sections
        )
      end

      def place(job, block)
        window = @frame.windows[block.window]
        Placement.new(
          task: job.id,
          window: window.id,
          start: @frame.minutes(block.start),
          minutes: @frame.minutes(block.steps),
          room: window.rooms[block.room].first
        )
      end
    end
  end
end
