# frozen_string_literal: true

module Formats
  module PlanProblem
    # Writes a Core::Planning::Problem as a plan-problem-1 object.
    class Writer
      def initialize(problem) = @problem = problem

      def to_h
        {
          "format" => NAME,
          **figures,
          "dancers" => @problem.dancers,
          "choreographers" => @problem.choreographers,
          "windows" => @problem.windows.map { |w| window(w) },
          "unavailable" => @problem.unavailable.map { |u| away(u) },
          "tasks" => @problem.tasks.map { |t| task(t) },
          "limits" => @problem.limits.map { |l| l.transform_keys(&:to_s) },
          "plan" => @problem.plan.map { |p| p.to_h.except(:lead).transform_keys(&:to_s) },
          "done" => @problem.done.map { |id, minutes| { "task" => id, "minutes" => minutes } }
        }
      end

      private

      def figures
        {
          "grid" => @problem.grid,
          "min_part" => @problem.min_part,
          "max_part" => @problem.max_part,
          "max_continuous" => @problem.max_continuous,
          "break" => @problem.break_minutes,
          "trip_cost" => @problem.trip_cost,
          "show_date" => @problem.show_date,
          "target_window" => @problem.target_window,
          "now" => @problem.now,
          "most_new_eights" => @problem.most_new_eights,
          "rewarm" => @problem.rewarm && { "idle" => @problem.rewarm.first, "minutes" => @problem.rewarm.last },
          **kept,
          "rests" =>
            (@problem.rests.map { |most, rest| { "most" => most, "rest" => rest } } unless @problem.rests.empty?)
        }.compact
      end

      # Only what is asked for.
      def kept
        {
          "frame_minutes" => @problem.frame_minutes,
          "recap" => @problem.recap,
          "to_music" => @problem.to_music,
          "wheels" => @problem.wheels,
          "lately" => @problem.lately.map { |each| task(each) }
        }.reject do |_, value|
          [0, []].include?(value)
        end
      end

      def window(window)
        {
          "id" => window.id,
          "date" => window.date,
          "start" => Times.clock(window.start),
          "end" => Times.clock(window.finish),
          "rooms" => window.rooms.map { |id, capacity| room(id, capacity) }
        }
      end

      def room(id, capacity)
        { "id" => id, "capacity" => capacity, "steps" => @problem.stepped.include?(id) || nil }.compact
      end

      def away(entry)
        {
          "who" => entry[:who],
          "date" => entry[:date],
          "from" => clock(entry[:from]),
          "to" => clock(entry[:to]),
          "work" => entry[:work],
          "frame" => entry[:frame]
        }.compact
      end

      def clock(minutes) = minutes && Times.clock(minutes)

      def task(task)
        {
          "id" => task.id,
          "kind" => task.kind,
          "minutes" => task.minutes,
          "split" => task.split,
          "dancers" => task.dancers,
          "choreographers" => task.choreographers,
          "sections" => task.sections.map(&:to_s),
          "after" => task.after,
          "after_window" => task.after_window,
          "eights" => task.eights,
          "link_indexes" => task.links
        }.compact
      end
    end
  end
end
