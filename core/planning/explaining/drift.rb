# frozen_string_literal: true

module Core
  module Planning
    # What is to be done now, against what a plan made earlier gives it: lessons that got less far, somebody who was
    # missing, a section that came in or was learned meanwhile.
    class Drift
      # kind: :missing (the plan has no place for it), :short (it needs so many minutes more), :uncalled (who dances it
      # and is not called) or :spare (nothing needs it any longer). task: id; who: ids of people.
      Change = Struct.new(:kind, :task, :minutes, :who, keyword_init: true)

      # Minutes, and share of what the plan gives, from which on a lesson counts as too short. A teacher's estimate
      # moves a little with every rehearsal; that is no reason to plan anew.
      LEAST = 10
      SHARE = 0.25

      # tasks: [Task] as they are made today. planned: {task id => [minutes ahead of us, people called]}. known: ids of
      # tasks the plan itself says have no place.
      def initialize(tasks, planned, known: [])
        @tasks = tasks
        @planned = planned
        @known = known
      end

      # [Change]: in the order of the tasks, then what is spare.
      def all
        @tasks.reject { |task| @known.include?(task.id) }.flat_map { |task| changes(task, *@planned[task.id]) } + spare
      end

      private

      def changes(task, given = nil, called = [])
        return [Change.new(kind: :missing, task: task.id, minutes: task.minutes)] unless given

        lack = task.minutes - given
        late = task.dancers - called
        [
          (Change.new(kind: :short, task: task.id, minutes: lack) if lack >= LEAST && lack >= given * SHARE),
          (Change.new(kind: :uncalled, task: task.id, who: late) if late.any?)
        ].compact
      end

      def spare
        (@planned.keys - @tasks.map(&:id)).map { |id| Change.new(kind: :spare, task: id, minutes: @planned[id].first) }
      end
    end
  end
end
