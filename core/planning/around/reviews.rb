# frozen_string_literal: true

module Core
  module Planning
    # What of the known material would become rusty before a plan dances it again, and a review slot for it where one
    # goes: near the day it would be rusty, in a rehearsal where most of those who need it are anyway. Nothing else
    # moves.
    class Reviews
      # wanted: [Want]; reviews: [Task] and their placements.
      Want = Struct.new(:item, :dancers, :since, :rusty, :until, :task, keyword_init: true)
      # More than this share of those who dance an item must be losing it.
      MANY = 0.5
      # So many rehearsals are tried for each.
      TRIES = 4

      # items: Learning::Items; progress: Learning::Progress; tasks: the plan's, their people as in items; name: what
      # the problem calls a person of the items; minutes: {item key => minutes of a review}; teachers: {item key =>
      # person}.
      def initialize(plan, tasks:, items:, progress:, today:, ends:, minutes:, teachers: {}, name: :itself.to_proc)
        @plan = plan
        @problem = plan.problem
        @tasks = tasks.to_h { |task| [task.id, task] }
        @items = items
        @progress = progress
        @today = today
        @ends = ends
        @minutes = minutes
        @teachers = teachers
        @name = name
        @dates = @problem.windows.to_h { |window| [window.id, Date.iso8601(window.date)] }
      end

      # [Want], the first to be rusty first; task is nil where no review found a place.
      def wants
        @wants ||= begin
          found =
            @items.all
              .select { |item| item.kind == :section }
              .filter_map { |item| want(item) }
              .sort_by { |each| [each.rusty, each.item.key] }
          place(found)
          found
        end
      end

      # Placements of the reviews.
      def placements = wants && @placements

      private

      def want(item)
        gaps = @items.dancers(item).to_h { |who| [who, gap(item, who)] }.compact.to_a
        return if gaps.size <= @items.dancers(item).size * MANY

        first = gaps.map(&:last).min_by(&:rusty)
        Want.new(
          item:,
          dancers: gaps.map(&:first),
          since: gaps.map { |_, gap| gap.since }.max,
          rusty: first.rusty,
          until: gaps.map { |_, gap| gap.until }.max
        )
      end

      # Somebody's own gap with something they have at tempo.
      def gap(item, who)
        cell = @progress.cell(who, item.key)
        return if cell.rung < Learning::Cell::TEMPO

        Learning::Forecast.new(cell, days(item).fetch(who, []), today: @today, ends: @ends).gap
      end

      # The days on which each dancer dances some of an item's links: {who => [Date]}.
      def days(item)
        @days ||= {}
        @days[item.key] ||= @plan.placements
          .each_with_object(Hash.new { |hash, who| hash[who] = [] }) do |placement, found|
            task = @tasks[placement.task]
            task.dancers.each { |who| found[who] << @dates[placement.window] } if task.links&.intersect?(item.links)
          end
      end

      def place(wants)
        choices = wants.to_h { |want| [want, choices(want)] }
        @table =
          Table.new(
            @frame =
              IndexedProblem.new(
                @problem.with(
                  tasks: @problem.tasks + bookends.keys + choices.values.flatten(1).map(&:last),
                  recap: 0,
                  to_music: 0
                )
              )
          )
        @plan.placements.each { |each| put(each.task, each) }
        bookends.each { |task, each| put(task.id, each) }
        @placements = []
        choices.each { |want, tasks| settle(want, tasks) }
      end

      # Recap, music and catching up as tasks: they keep their place too.
      def bookends
        @bookends ||= (@plan.bookends + @plan.own.select(&:of)).each_with_index.to_h do |each, i|
          [Task.new(id: "around-#{i}", kind: each.kind, minutes: each.minutes, dancers: each.dancers,
                    choreographers: each.choreographers), each]
        end
      end

      def put(task, placement)
        window = index(placement.window)
        room = @frame.windows[window].rooms.index { |id, _| id == placement.room }
        @table.put(
          @frame.job(task),
          window,
          *[placement.start, placement.minutes].map { |minutes| minutes / @problem.grid },
          room
        )
      end

      def index(id) = @frame.windows.index { |window| window.id == id }

      # Rehearsals between the two dances, the nearest before the day it would be rusty first, with those who are there
      # anyway:
      # [[window id, Task], …].
      def choices(want)
        between =
          @problem.open_windows.map(&:id)
            .select { |id| @dates[id] > want.since && @dates[id] < want.until && @dates[id] > @today }
        fitting = between.to_h { |id| [id, review(want, id)] }.compact
        fitting.min_by(TRIES) do |id, _|
          (want.rusty - @dates[id]).to_i.then { |days| [days.positive? ? 0 : 1, days.abs, id] }
        end
      end

      def review(want, window)
        there = attends(window)
        dancers = want.dancers.map { |who| @name.call(who) } & there
        return if dancers.size <= want.dancers.size * MANY

        teacher = [@teachers[want.item.key]].compact.map { |who| @name.call(who) } & there
        Task.new(
          id: TaskKey.of("review", "#{want.item.key}-#{window}"),
          kind: "review",
          minutes: @minutes.fetch(want.item.key),
          dancers:,
          choreographers: teacher,
          links: want.item.links.first(1),
          title: want.item.name
        )
      end

      def attends(window)
        @attends ||= @plan.calls.group_by(&:window).transform_values { |calls| calls.map(&:who) }
        @attends.fetch(window, [])
      end

      def settle(want, choices)
        places = Places.new(@table)
        choices.each do |window, task|
          at = index(window)
          found = places.cheapest_in(@frame.job(task.id), at, 0, @frame.steps[at]) or next
          @table.put(@frame.job(task.id), at, found[1], found[2], found[4])
          @placements << Placement.new(
            task: task.id,
            window:,
            start: @frame.minutes(found[1]),
            minutes: task.minutes,
            room: @frame.windows[at].rooms[found[4]].first
          )
          return want.task = task
        end
      end
    end
  end
end
