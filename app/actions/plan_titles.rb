# frozen_string_literal: true

module App
  module Actions
    # What a task is called on screens and call sheets.
    module PlanTitles
      def self.of(task)
        case task.kind
        when "join" then I18n.t("tasks.join", name: task.title)
        when "difference" then I18n.t("tasks.difference", name: task.title)
        when "run" then I18n.t("tasks.run.#{task.title}")
        when "chain" then task.title
        else I18n.t("tasks.learn", name: task.title)
        end
      end
    end
  end
end
