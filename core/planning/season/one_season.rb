# frozen_string_literal: true

module Core
  module Planning
    # Several pieces planned as one problem: their tasks, people, rooms and rehearsals on one timeline, and the plan
    # that was found taken apart again into one of each piece.
    #
    #   season = OneSeason.new([Part.new(id: 3, order: 1, problem: wings), Part.new(id: 8, order: 2, problem: lamps)])
    #   shares = season.shares(Solver.new(season.problem).plan)  # => {3 => Plan, 8 => Plan}
    class OneSeason
      NEVER = "9999-12-31"
      private_constant :NEVER

      # id: of the piece; order: 1 goes first where not everything fits; problem: of the piece alone, knowing nothing
      # of what the other parts hold. Windows that are one rehearsal have one id.
      Part = Struct.new(:id, :order, :problem, keyword_init: true) do
        # By what a task of the piece is known in the season.
        def key(task_id) = "#{id}:#{task_id}"
      end

      # parts: [Part]; between them the same studio's care.
      def initialize(parts)
        @parts = parts
      end

      # The season's Problem. A rehearsal begins for all when the piece that warms up longest is warm.
      def problem
        @problem ||= first.with(
          windows:, tasks: @parts.flat_map { |part| tasks(part) }, target_window: nil, aims:,
          pieces: @parts.map { |part| { id: part.id, order: part.order, show: part.problem.show_date } },
          frame_minutes: all(:frame_minutes).max, max_part: all(:max_part).min,
          **together, **earlier
        )
      end

      # {piece's id => its Plan, of its own problem, in which the others' work is work elsewhere}, one after the other.
      # Where a block is given, what it makes of a share (a Plan with more in it) is elsewhere for those after it too.
      def shares(plan)
        more = []
        @parts.to_h do |part|
          share = Share.new(self, part, plan, more:).plan
          whole = block_given? ? yield(part.id, share) : share
          more += Share.taken(whole, whole.placements - share.placements)
          [part.id, whole]
        end
      end

      # Minutes by which a rehearsal begins later for the season than for a piece alone.
      def later(part, window)
        @later ||= @parts.to_h do |each|
          [each.id, each.problem.windows.to_h { |own| [own.id, by_id.fetch(own.id).start - own.start] }]
        end
        @later.fetch(part.id).fetch(window)
      end

      # The part a task of the season belongs to, and what the task is called there: [Part, id].
      def of(task_id)
        piece, id = task_id.split(":", 2)
        [@by_name ||= @parts.to_h { |part| [part.id.to_s, part] }, id].then { |parts, own| [parts.fetch(piece), own] }
      end

      def windows = by_id.values.sort_by { |window| [window.day, window.start, window.id] }

      private

      def first = @parts.first.problem
      def all(name) = @parts.map { |part| part.problem.public_send(name) }
      def by_id = @by_id ||= all(:windows).flatten.group_by(&:id).transform_values { |same| shared(same) }

      # The minutes that are usable for every piece of it.
      def shared(same)
        from = same.map(&:start).max
        same.first.with(start: from, finish: [same.map(&:finish).min, from].max, no_new: same.any?(&:no_new))
      end

      # On the days of the piece's own rehearsals; never where it has none left.
      def tasks(part)
        first, last = part.problem.windows.map(&:date).minmax
        first ||= NEVER
        part.problem.tasks.map do |task|
          named(part, task).with(first_day: [task.first_day, first].compact.max,
                                 last_day: [task.last_day, last].compact.min)
        end
      end

      def named(part, task)
        task.with(id: part.key(task.id), piece: part.id, after: task.after.map { |id| part.key(id) },
                  after_window: task.after_window.map { |id| part.key(id) })
      end

      def together
        names = %i[dancers choreographers unavailable limits minors stepped wheels]
        lists = names.to_h { |name| [name, all(name).flatten.uniq] }
        lists.merge(availability: all(:availability).compact.first,
                    lately: @parts.flat_map { |part| part.problem.lately.map { |task| named(part, task) } })
      end

      # What was told and what is held, by the season's clock.
      def earlier
        done = @parts.flat_map { |part| part.problem.done.map { |id, minutes| [part.key(id), minutes] } }
        { plan: moved(:plan), pinned: moved(:pinned), done: done.to_h }
      end

      def moved(name)
        @parts.flat_map do |part|
          part.problem.public_send(name).filter_map do |each|
            start = each.start - later(part, each.window)
            each.with(task: part.key(each.task), start:) unless start.negative?
          end
        end
      end

      # Each piece's last run is wanted by the end of its target.
      def aims
        @parts.filter_map { |part| aim(part) }.sort_by { |aim| aim[:date] }
      end

      def aim(part)
        target = part.problem.windows.find { |window| window.id == part.problem.target_window }
        last = part.problem.tasks.reverse.find(&:run?) || part.problem.tasks.last
        { task: part.key(last.id), date: target.date } if target && last
      end
    end
  end
end
