# frozen_string_literal: true

module App
  module Actions
    # What a task is called on screens and call sheets.
    module PlanTitles
      def self.of(task)
        case task.kind
        when "run" then I18n.t("tasks.run.#{task.title}")
        when "chain" then task.title
        when "clean" then I18n.t(task.id.start_with?("refine") ? "tasks.refine" : "tasks.clean", name: task.title)
        else I18n.t("tasks.#{task.kind}", name: task.title)
        end
      end
    end
  end
end
