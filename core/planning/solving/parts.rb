# frozen_string_literal: true

module Core
  module Planning
    # How long the next part of a job may be in a window: by what is left of it and what its people still take in there.
    class Parts
      def initialize(table)
        @table = table
        @frame = table.frame
      end

      # Lengths of the next part, longest first. A job that cannot be split and holds more new material than a rehearsal
      # should has a rehearsal to itself.
      def of(job, window)
        left = @table.left[job.at]
        room = @table.room_for_new(job, window)
        parts = all(job, left)
        fitting = room >= left ? parts : parts.select { |steps| steps <= room }
        alone = fitting.empty? && job.rate.positive? && @frame.cap && room >= (@frame.cap / job.rate).floor
        alone ? parts.last(1) : fitting
      end

      private

      def all(job, left)
        return [left] unless job.split && left > @frame.least

        most = [@frame.most, left].min
        most.downto(@frame.least).select { |steps| left == steps || left - steps >= @frame.least }
      end
    end
  end
end
