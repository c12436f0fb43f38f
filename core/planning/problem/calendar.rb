# frozen_string_literal: true

module Core
  module Planning
    # Who and which room is away on which step of which window, as sets of people (Values::Bits).
    class Calendar
      attr_reader :people, :index

      def initialize(problem)
        @problem = problem
        @people = problem.people
        @index = @people.each_with_index.to_h
        @away = problem.unavailable.group_by { |entry| entry[:date] }
      end

      # A set of people (ids) as a whole number. Raises KeyError for somebody unknown.
      def bits(ids) = Values::Bits.of(ids.map { |id| index.fetch(id) })

      # Steps (of the grid) in a window.
      def steps(window) = window.minutes / @problem.grid

      # For each step of the window, the set of people away.
      def away(window)
        sets = Array.new(steps(window), 0)
        entries(window).each do |entry|
          bit = 1 << (index[entry[:who]] || next)
          covered(window, entry).each { |step| sets[step] |= bit }
        end
        sets
      end

      # For a room of the window, a whole number whose bits are the steps it is closed.
      def closed(window, room)
        Values::Bits.of(entries(window).select { |e| e[:who] == room }.flat_map { |e| covered(window, e).to_a }.uniq)
      end

      # For each step of the window, the set of people who have to be at home then; nil where nobody has.
      def at_home(window) = sets(window) { |entry| entry[:late] }

      # For each step of the window, the set of people who rehearse something else then; nil where nobody does.
      def working(window) = sets(window) { |entry| entry[:work] }

      # The same with warming up and cooling down for it.
      def taken(window) = sets(window) { |entry| entry[:work] || entry[:frame] }

      # Minutes of other work, warming up and cooling down for it included: {[date, person's index] => minutes}.
      def elsewhere
        @elsewhere ||=
          @problem.unavailable
            .select { |entry| (entry[:work] || entry[:frame]) && entry[:from] && index[entry[:who]] }
            .each_with_object(Hash.new(0)) do |entry, sum|
              sum[[entry[:date], index[entry[:who]]]] += entry[:to] - entry[:from]
            end
      end

      private

      # For each step, the set of people that entries of some kind are about; nil without any.
      def sets(window)
        busy = entries(window).select { |entry| yield(entry) && index[entry[:who]] }
        return if busy.empty?

        busy.each_with_object(Array.new(steps(window), 0)) do |entry, sets|
          covered(window, entry).each { |step| sets[step] |= 1 << index[entry[:who]] }
        end
      end

      def entries(window) = @away.fetch(window.date, [])

      def covered(window, entry)
        from = [(entry[:from] || 0) - window.start, 0].max / @problem.grid
        to = ([entry[:to] || 1440, window.finish].min - window.start).fdiv(@problem.grid).ceil
        from...[to, steps(window)].min
      end
    end
  end
end
