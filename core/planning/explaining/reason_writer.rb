# frozen_string_literal: true

module Core
  module Planning
    # Turns reasons into sentences a director understands; the words stand in the locale file.
    class ReasonWriter
      MOST = 3
      MOST_IN_TURN = 5
      MOST_DATES = 6
      private_constant :MOST, :MOST_IN_TURN, :MOST_DATES

      # names: {id => name} of people, tasks and rehearsals; day: a callable, ISO date => what it is called; say: a
      # callable (key, **values) => text.
      def initialize(names = {}, say:, day: :itself.to_proc)
        @day = day
        @names = names
        @say = say
        @lists = NameList.new(say:)
      end

      # Core::Planning::Reason => "Mel teaches Harbour only on Tue 2 Feb: 40 minutes are needed, …"
      def text(reason)
        phrase(key(reason), who: list(Array(reason.who)), tasks: tasks(reason), dates: dates(reason),
                            need: reason.need, have: reason.have, short: reason.short, count: Array(reason.who).size,
                            from: day(reason.from), to: day(reason.to))
      end

      private

      def phrase(key, **values) = @say.call("plan_reasons.#{key}", **values)
      def day(date) = date && @day.call(date)
      def name(id) = @names.fetch(id, id).to_s
      def list(ids, most = MOST) = @lists.of(ids.map { |id| name(id) }, most)

      def key(reason)
        return "long" if reason.long && Array(reason.who).empty?
        return "long_together" if reason.long
        return { people: "room_too_small", steps: "room_steps" }.fetch(reason.unit) if one_room?(reason)

        reason.type
      end

      # A chain of waiting tasks and a group that shares dancers are named further than others.
      # A room is too small for one task.
      def tasks(reason)
        return list(reason.tasks.first(1)) if one_room?(reason)

        list(reason.tasks, %i[precedence clique].include?(reason.type) ? MOST_IN_TURN : MOST)
      end

      def one_room?(reason) = reason.type == :room && %i[people steps].include?(reason.unit)

      def dates(reason)
        return phrase("dates.left") if reason.windows.empty?
        return phrase("dates.all", count: reason.windows.size) if reason.windows.size > MOST_DATES

        phrase("dates.on", days: list(reason.windows, MOST_DATES))
      end
    end
  end
end
