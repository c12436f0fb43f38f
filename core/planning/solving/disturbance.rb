# frozen_string_literal: true

module Core
  module Planning
    # What a plan changes of what people were told: calls to rehearsals they were not called to, calls that fall away,
    # slots that lie elsewhere. told: [Placement] of the earlier plan.
    class Disturbance
      # Minutes of waiting that each is worth when plans are compared.
      NEW = 20
      CANCELLED = 12
      SHIFTED = 3
      Count = Struct.new(:new_calls, :cancelled, :shifted, keyword_init: true)

      def initialize(frame, told)
        @frame = frame
        windows = frame.windows.each_with_index.to_h { |window, i| [window.id, i] }
        known = told.select { |placement| windows.key?(placement.window) && frame.job(placement.task) }
        @places =
          known.group_by(&:task)
            .to_h do |task, same|
              [frame.job(task).at, same.map { |each| [windows[each.window], each.start / frame.minutes(1)] }.sort]
            end
        @called = Array.new(frame.windows.size, 0)
        known.each { |placement| @called[windows[placement.window]] |= party(placement, windows[placement.window]) }
      end

      def of(table)
        fresh = gone = 0
        @called.each_index do |window|
          attends = table.spans(window).last
          fresh += count(attends & ~@called[window])
          gone += count(@called[window] & ~attends)
        end
        Count.new(new_calls: fresh, cancelled: gone, shifted: shifted(table))
      end

      def price(table)
        of(table).then { |found| (found.new_calls * NEW) + (found.cancelled * CANCELLED) + (found.shifted * SHIFTED) }
      end

      private

      # Who was called to a placement: whoever of its task can come there, and who was to lead it.
      def party(placement, window)
        job = @frame.job(placement.task)
        at = [placement.start, placement.minutes].map { |minutes| minutes / @frame.minutes(1) }
        here = @frame.attends(job, window, *at) || job.people
        lead = job.leads[@frame.lead_of(job, placement) || 0]
        lead ? here | lead.first : here
      end

      def shifted(table)
        @places.count { |at, places| table.blocks[at].map { |block| [block.window, block.start] }.sort != places }
      end

      def count(set) = set.zero? ? 0 : Values::Bits.count(set)
    end
  end
end
