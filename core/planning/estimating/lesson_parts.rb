# frozen_string_literal: true

module Core
  module Planning
    # Which eights each part of a lesson holds, by its share of the minutes. A part that goes on where another ended
    # begins one eight before that.
    #
    #   LessonParts.of(learn, [30, 30], 8)  # => [[1, 4], [4, 8]] for a section of eight eights
    module LessonParts
      module_function

      # minutes: of the parts, in order; eights: lines of eight in the section. [[first, last], …]
      def of(task, minutes, eights)
        begins = task.from_eight
        known = begins - 1
        total = [minutes.sum, task.minutes].max.to_f
        done = 0
        minutes.map do |part|
          done += part
          ends = (known + ((eights - known) * done / total)).round.clamp(begins, eights)
          [begins, ends].tap { begins = ends }
        end
      end
    end
  end
end
