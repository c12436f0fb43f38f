# frozen_string_literal: true

module Core
  module Planning
    # Rests within a window of a table: nobody works longer than they may without one, whoever is younger less long.
    class Rests
      def initialize(table)
        @table = table
        @frame = table.frame
      end

      # Whether all these people (a set) may also work on so many steps from a start.
      def allow?(people, window, start, steps)
        @frame.rests.all? do |most, rest, whom|
          own = people & whom
          own.zero? || rested?(own, window, start, steps, most, rest)
        end
      end

      # Whether nobody's work is too long as it stands.
      def sound?(people, window)
        @frame.rests.all? { |most, rest, whom| stretches(window, most, rest).sound?(people & whom) }
      end

      private

      def stretches(window, most, rest)
        Stretches.new(@table.work(window), rest:, most:, rewarm: @frame.rewarm, dancing: @frame.dancing)
      end

      # Quick where all that touches these people is short enough together; else person by person.
      def rested?(people, window, start, steps, most, rest)
        return false if steps > most

        warm = @frame.rewarm.nil? || (people & @frame.dancing).nobits?(@table.there(window))
        return true if warm && short?(people, window, start, steps, most, rest)

        stretches(window, most, rest).allow?(people, start, start + steps)
      end

      def short?(people, window, start, steps, most, rest)
        return false if @frame.working[window]

        mask = (((1 << steps) - 1) << start) | @table.evenings[window].busy_steps(people)
        (rest - 1).times { mask |= mask << 1 }
        Table.runs(mask, most + rest).zero?
      end
    end
  end
end
