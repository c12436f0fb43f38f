# frozen_string_literal: true

module Core
  module Planning
    # What minors have free: so many hours between the end of an evening and the next beginning, and a day of seven.
    class DaysOff
      WEEK = 7
      MINUTES = 1440

      def initialize(table)
        @table = table
        @frame = table.frame
        @minors = @frame.bits(@frame.problem.minors & @frame.people)
        @night = @minors.zero? ? 0 : @frame.problem.night
        @around = @frame.minutes(@frame.around)
        @weeks = @minors.zero? || !@frame.problem.day_off ? {} : weeks
      end

      # Whether a choice leaves everybody of it their nights and a day of each seven.
      def allow?(choice)
        people = choice.people & @minors
        people.zero? || (nights?(choice, people) && day_off?(choice.window, people))
      end

      # Windows that cannot be judged without others: those of days that follow too soon, and of full weeks.
      def self.tied(windows, night, day_off)
        near = windows.each_index.select { |i| windows.any? { |other| near?(windows[i], other, night) } }
        days = day_off ? full(windows.map(&:day)).flatten : []
        near | windows.each_index.select { |i| days.include?(windows[i].day) }
      end

      # Whether the night between two windows may be too short.
      def self.near?(one, other, night)
        first, second = [one, other].sort_by { |window| [window.day, window.start] }
        first.day < second.day && between(first, first.finish, second, second.start) < night
      end

      # Minutes from a minute of one window's day to a minute of another's.
      def self.between(first, from, second, to) = ((second.day - first.day) * MINUTES) + to - from

      # [[day, …], …]: seven days on end that all have windows.
      def self.full(days) = days.uniq.sort.each_cons(WEEK).select { |week| week.last - week.first == WEEK - 1 }

      private

      # {window => [[windows of each other day of a full week], …]}.
      def weeks
        by_day = @frame.windows.each_index.group_by { |i| @frame.windows[i].day }
        DaysOff.full(by_day.keys).each_with_object({}) do |week, found|
          week.each do |day|
            others = (week - [day]).map { |each| by_day[each] }
            by_day[day].each { |window| (found[window] ||= []) << others }
          end
        end
      end

      def day_off?(window, people)
        @weeks.fetch(window, []).none? do |days|
          days.reduce(people) { |set, windows| set & windows.map { |i| @table.there(i) }.reduce(:|) }.positive?
        end
      end

      def nights?(choice, people)
        return true if @night.zero?

        here = @frame.windows[choice.window]
        @frame.windows.each_index.none? do |i|
          other = @frame.windows[i]
          DaysOff.near?(here, other, @night + @around) && short?(choice, i, people)
        end
      end

      # Whether anybody's night between a choice and their work in a window is too short.
      def short?(choice, window, people)
        here, other = [choice.window, window].map { |i| @frame.windows[i] }
        @table.evenings[window].blocks.any? do |block|
          block.people.anybits?(people) && gap(here, choice, other, block) < @night + @around
        end
      end

      # Minutes between a choice and a block, whichever comes first.
      def gap(here, choice, other, block)
        if here.day < other.day
          DaysOff.between(here, clock(here, choice.start + choice.steps), other, clock(other, block.start))
        else
          DaysOff.between(other, clock(other, block.end), here, clock(here, choice.start))
        end
      end

      def clock(window, step) = window.start + @frame.minutes(step)
    end
  end
end
