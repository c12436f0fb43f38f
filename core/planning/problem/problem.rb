# frozen_string_literal: true

module Core
  module Planning
    # Everything a rehearsal plan is made from. unavailable: [{who:, date:, from:, to:, work:}], minutes of the day, nil
    # for the whole day; who may be a room; work: true where they rehearse something else then, which tires them as
    # much; late: true for the hours in which a minor is at home; frame: true for warming up or cooling down there.
    # done: {task id => minutes}. now: id of the first window still ahead. limits: [{who:, minutes_per_day:}], with
    # frame_minutes (warm-up and cool-down) counted once a rehearsal. most_new_eights: new material a dancer takes in
    # per rehearsal, or nil. rests: further [most minutes, least rest] beside max_continuous and break. rewarm: [idle,
    # minutes]: dancers who were idle so long in a rehearsal warm up again before their next work, which counts as work;
    # nil for never. recap, to_music: minutes kept at the start and the end of a rehearsal for last time's new material
    # and today's; lately: [Task] that were new in the last rehearsal behind us, with those who were there. plan:
    # placements of an earlier plan; pinned: those of them that stay where they are ([Placement]). availability: an
    # Availability that says who could come to a rehearsal that is not there yet; nil where everybody could. stepped:
    # ids of rooms that are only reached by steps; wheels: ids of dancers who cannot go there. pieces: [{id:, order:,
    # show: ISO date or nil}], order 1 goes first where not everything fits; exams: [{who: ids, or nil for everybody,
    # from:, to:}] ISO dates between which they learn nothing new and dance nothing full out; aims: [{task:, date:}] in
    # order of date; minors: ids; on_end: {who => minutes} for those who rest sooner than others; refused:
    # {room id => [lift, jump, full_out]} that a room does not take; sites: {room id => its site}, with between_sites
    # minutes from one to another; warm_up, re_warm_after, cool_down: minutes of those that the plan makes itself,
    # around its windows, or nil; even: where there is a target, person-minutes that unevenness of the weeks' work
    # counts for, as a sum of squared half hours: by itself so many that it comes before all waiting; price_list: a
    # PriceList, nil where only waiting, coming, missing and leads cost; full_out_a_day: most minutes a day that
    # somebody dances full out, where that is more than one thing, or nil; night: minutes minors have between an
    # evening and the next; day_off: whether they have one day of seven free.
    class Problem < Values::Value.of(
      :windows, :tasks, grid: 5, min_part: 15, max_part: 60, max_continuous: 55, break_minutes: 5,
                        trip_cost: 30, dancers: [].freeze, choreographers: [].freeze, unavailable: [].freeze,
                        limits: [].freeze, show_date: nil, target_window: nil, plan: [].freeze, done: {}.freeze,
                        now: nil, most_new_eights: nil, rests: [].freeze, pinned: [].freeze, rewarm: nil,
                        frame_minutes: 0, recap: 0, to_music: 0, lately: [].freeze, availability: nil,
                        stepped: [].freeze, wheels: [].freeze, pieces: [].freeze, aims: [].freeze,
                        minors: [].freeze, on_end: {}.freeze, refused: {}.freeze, sites: {}.freeze,
                        between_sites: 0, warm_up: 0, re_warm_after: nil, cool_down: 0, even: 100_000,
                        price_list: nil, full_out_a_day: nil, night: 0, day_off: false, exams: [].freeze
    )
      # Ids of everybody a task may ask for.
      def people = dancers | choreographers

      # The same with somebody there whenever it is up to them: other pieces and a minor's hours stay as they are.
      def freed(who)
        theirs = unavailable.select { |entry| entry[:who] == who && Problem.theirs?(entry) }
        with(unavailable: unavailable - theirs, availability: availability&.freed(who))
      end

      # The same with one rehearsal more, to which come who can come then.
      def with_window(window)
        with(
          windows: (windows + [window]).sort_by { |each| [each.day, each.start] },
          unavailable: unavailable | (availability ? availability.of(window) : [])
        )
      end

      # Whether an entry of unavailable is a person's own absence, not other work or the limits of a day.
      def self.theirs?(entry) = entry.values_at(:work, :late, :frame).none?

      # Windows that are not past.
      def open_windows
        from = windows.index { |window| window.id == now } || 0
        windows.drop(from)
      end

      # Id of the window by whose end the earlier plan has its last run, or where it has none its last task; nil without
      # one.
      def promised
        runs = tasks.select(&:run?).map(&:id)
        last = (runs.any? ? plan.select { |placement| runs.include?(placement.task) } : plan).map(&:window)
        windows.map(&:id).reverse.find { |id| last.include?(id) }
      end

      # Minutes of a task that are still to be placed.
      def left(task) = [task.minutes - done.fetch(task.id, 0), 0].max

      # Tasks in an order in which each comes after what it waits for, otherwise as given.
      # Raises CircularTasks.
      def in_order
        by_id = tasks.to_h { |task| [task.id, task] }
        state = {}
        sorted = []
        tasks.each { |task| visit(task, by_id, state, sorted) }
        sorted
      end

      private

      def visit(task, by_id, state, sorted)
        return if state[task.id] == :done
        raise CircularTasks, state.select { |_, s| s == :open }.keys if state[task.id] == :open

        state[task.id] = :open
        task.before.filter_map { |id| by_id[id] }.each { |earlier| visit(earlier, by_id, state, sorted) }
        state[task.id] = :done
        sorted << task
      end
    end
  end
end
