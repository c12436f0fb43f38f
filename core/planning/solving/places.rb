# frozen_string_literal: true

module Core
  module Planning
    # Where a job can go on a table, between two times: the earliest place, or the one that costs least.
    class Places
      # A start in a window: what it adds in minutes, who would come (a set, with who leads it), which lead.
      Choice = Struct.new(:price, :start, :steps, :window, :people, :lead, :bearable)
      # How many choices were looked for so far, each for a job and a window.
      attr_reader :tried

      def initialize(table)
        @table = table
        @frame = table.frame
        @apart = Apart.new(table)
        @between = Between.new(table)
        @parts = Parts.new(table)
        @tried = 0
      end

      # Puts all of a job as early as it goes. Answers whether everything found a place; what did stays.
      def early(job, bounds)
        until @table.placed?(job)
          found = earliest(job, *bounds) or return false
          put(job, found)
        end
        true
      end

      # The same where it costs least. block: told each window, answers what is to be added to a choice there, or nil
      # to pass the window over.
      def cheap(job, bounds, &)
        until @table.placed?(job)
          found = cheapest(job, *bounds, &) or return false
          put(job, found)
        end
        true
      end

      # [earliest time, latest time] by what comes before and after it on the table; nil when something it waits for is
      # not placed. last: the last window it may lie in.
      def bounds(job, last) = @between.of(job, last)

      # The first start from a step on in a window for a part of so many steps, or nil.
      def next_start(job, window, from, steps)
        first_of(job, window, steps, from, @frame.steps[window])&.start
      end

      # [price, start, steps, window, room, lead] of the best start in a window, or nil.
      def cheapest_in(job, window, from, to)
        @parts.of(job, window).each do |steps|
          found = best_of(job, window, steps, from, to) or next
          return [found.price, found.start, steps, window, room(job, found), found.lead]
        end
        nil
      end

      # The room of a choice.
      def room(job, choice)
        @apart.room(job, choice) || @table.room_at(job, choice.window, choice.start, choice.steps)
      end

      # The cheapest part over all windows; per step, so that long parts and short ones compare.
      def cheapest(job, low, high)
        best = least = nil
        each_window(job, low, high) do |window, from, to|
          added = block_given? ? yield(window) : 0
          found = added && part_in(job, window, from, to) or next
          price = (found.price + added).fdiv(found.steps)
          next unless least.nil? || price < least - 1e-9

          best = found
          least = price
        end
        best
      end

      # The earliest choice in a window between two steps, or nil.
      def first_of(job, window, steps, from, to)
        @tried += 1
        return earliest_of(job, window, steps, from, to) if @frame.tied?(window) || to < @frame.steps[window]

        @table.evenings[window].firsts.fetch((((job.at * Table::TIME) + steps) * Table::TIME) + from) do |key|
          @table.evenings[window].firsts[key] = earliest_of(job, window, steps, from, to)
        end
      end

      # For each window between two times that holds no part of the job yet: window, first step, end step.
      def each_window(job, low, high)
        taken = @table.blocks[job.at].map(&:window)
        from, first = low.divmod(Table::TIME)
        to, ends = high.divmod(Table::TIME)
        from.upto([to, @frame.steps.size - 1].min) do |window|
          next if taken.include?(window)

          size = @frame.steps[window]
          yield window, window == from ? first : 0, window == to && ends < size ? ends : size
        end
      end

      # Puts a job where a choice has it.
      def put(job, choice)
        @table.put(job, choice.window, choice.start, choice.steps, room(job, choice), choice.lead)
      end

      private

      def earliest_of(job, window, steps, from, to)
        starts = Values::Bits.to_a(starts(job, window, steps) >> from << from)
        starts.take_while { |start| start + steps <= to }.each do |start|
          parties(job, window, start, steps).each do |people, lead, extra|
            choice = Choice.new(extra, start, steps, window, people, lead)
            return choice if bearable?(job, choice)
          end
        end
        nil
      end

      def earliest(job, low, high)
        each_window(job, low, high) do |window, from, to|
          @parts.of(job, window).each do |steps|
            found = first_of(job, window, steps, from, to)
            return found if found
          end
        end
        nil
      end

      # What is asked for a whole window is remembered with it.
      def part_in(job, window, from, to)
        whole = from.zero? && to == @frame.steps[window]
        return part_of(job, window, from, to) unless whole && @frame.cap.nil? && !@frame.tied?(window)

        @tried += 1
        @table.evenings[window].best.fetch((job.at * Table::TIME) + @table.left[job.at]) do |key|
          @table.evenings[window].best[key] = part_of(job, window, from, to)
        end
      end

      def part_of(job, window, from, to)
        @parts.of(job, window).each do |steps|
          found = best_of(job, window, steps, from, to)
          return found if found
        end
        nil
      end

      def best_of(job, window, steps, from, to)
        choices(job, window, steps).find do |choice|
          choice.start >= from && choice.start + steps <= to && bearable?(job, choice)
        end
      end

      def bearable?(job, choice)
        return choice.bearable unless choice.bearable.nil? || @frame.tied?(choice.window)

        choice.bearable =
          @table.bearable?(choice.people, choice.window, choice.start, choice.steps) && @apart.allow?(job, choice)
      end

      # Every start of a part of so many steps in a window as it is now, the cheapest first.
      def choices(job, window, steps)
        @tried += 1
        @table.evenings[window].choices[(job.at * Table::TIME) + steps] ||= choices_of(job, window, steps)
      end

      # Steps (a set) at which a part may begin as far as rooms and people without a choice go.
      def starts(job, window, steps)
        alone = Table.runs(@table.free(job, window), steps)
        alone.zero? ? 0 : alone & @table.room_starts(job, window, steps)
      end

      def choices_of(job, window, steps)
        return [] if (starts = starts(job, window, steps)).zero?

        added = Hash.new do |known, people|
          known[people] = AddedCost.new(@frame, @table.evenings[window], people, steps)
        end
        found = Values::Bits.to_a(starts).flat_map do |start|
          parties(job, window, start, steps).map do |people, lead, extra|
            Choice.new(added[people].at(start) + extra, start, steps, window, people, lead)
          end
        end
        found.sort_by { |choice| [choice.price, choice.start] }
      end

      # [[who comes, lead, what that costs], …] for a start.
      def parties(job, window, start, steps)
        return [[job.people, 0, 0]] if job.plain?

        dancers = @frame.attends(job, window, start, steps) or return []
        leads = job.leads.empty? ? [0] : @table.leads(job, window, start, steps)
        leads.filter_map do |lead|
          led = job.leads.empty? ? 0 : job.leads[lead].first
          [dancers | led, lead, @table.extra(job, dancers, lead, steps)] unless @frame.alone?(dancers, led)
        end
      end
    end
  end
end
