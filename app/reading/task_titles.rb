# frozen_string_literal: true

module App
  module Reading
    # What a task is called on screens and call sheets.
    module TaskTitles
      EDGES = {
        Core::Planning::TaskKey.of("join", Core::Learning::Item::OPENING) => "opening",
        Core::Planning::TaskKey.of("join", Core::Learning::Item::ENDING) => "ending"
      }.freeze

      def self.of(task)
        case task.kind
        when "run" then I18n.t("tasks.run.#{task.title}")
        when "chain" then chain(*task.title)
        when "join" then edge(task.id) ? I18n.t("tasks.#{edge(task.id)}") : I18n.t("tasks.join", name: task.title)
        when "clean" then I18n.t("tasks.#{doing(task)}", name: task.title)
        when "difference" then I18n.t("tasks.#{doing(task) == 'anew' ? 'anew' : 'difference'}", name: task.title)
        else I18n.t("tasks.#{task.kind}", name: task.title)
        end
      end

      def self.doing(task) = Core::Planning::TaskKey.doing(task.id)

      # "From the top to Spiral", "From Comb to Spiral".
      def self.chain(from, to)
        from ? I18n.t("tasks.chain", from:, to:) : I18n.t("tasks.chain_from_the_top", to:)
      end

      # "opening" or "ending" of their tasks' keys.
      def self.edge(key) = EDGES[key]

      # A part of a lesson also says which eights it holds: "Learn Spiral, eights 4 – 8".
      def self.of_part(task, eights, whole)
        return of(task) if eights.nil? || eights == [1, whole]

        from, to = eights
        "#{of(task)}, #{from == to ? I18n.t('tasks.eight', eight: from) : I18n.t('tasks.eights', from:, to:)}"
      end
    end
  end
end
