# frozen_string_literal: true

module App
  module Pages
    # The schools of building side by side, before one is chosen: minutes, how often what is danced, when it is ready.
    class Schools < PiecePage
      Row = Struct.new(:key, :minutes, :opening, :ending, :first_run, :ready, :unplaced, :waiting, keyword_init: true)

      def screen = :plan
      def title = "#{I18n.t('schools.title')} · #{piece.title}"
      def chosen = piece.setting("school")
      def rows = @rows ||= Core::Planning::Schools::ALL.keys.map { |key| row(key) }
      def first_section = order.links.first&.name
      def last_section = order.links.last&.name

      private

      def row(key)
        draft = Actions::PlanDraft.new(piece, now, variation: Actions::Variation.new(piece, { "change" => "school", "school" => key }))
        plan = Core::Planning::Solver.new(draft.problem, effort: "quick").plan
        figures = Core::Planning::Schools::Figures.new(draft.tasks, work)
        danced = figures.danced
        Row.new(key:, minutes: figures.minutes, opening: danced[order.links.first.section.id], ending: danced[order.links.last.section.id], first_run: date(draft, run_windows(draft, plan).first),
                ready: date(draft, plan.complete? ? plan.ready_window : nil), unplaced: plan.unplaced_minutes, waiting: plan.calls.sum(&:waiting))
      end

      def run_windows(draft, plan)
        runs = draft.tasks.select(&:run?).map(&:id)
        plan.placements.select { |placement| runs.include?(placement.task) }.map(&:window)
      end

      def date(draft, window) = (found = draft.problem.windows.find { |each| each.id == window }) && Date.iso8601(found.date)
    end
  end
end
