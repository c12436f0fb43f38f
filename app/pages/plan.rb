# frozen_string_literal: true

module App
  module Pages
    # The rehearsal plan: the build, what is ready when, what is short.
    class Plan < PiecePage
      def screen = :plan
      def plan = @plan ||= piece.latest_plan
      def published = @published ||= piece.published_plan
      def draft? = plan && !plan.published?
      def build = @build ||= Build.new(self)
      def season = @season ||= Records::Mapping::Seasons.new(piece, now:)
      def rehearsals = season.rehearsals
      def open_rehearsals = season.open
      def unplaced = plan.result.fetch("unplaced", [])
      def reasons = plan.result.fetch("reasons", [])
      def unplaced_minutes = unplaced.sum { |task| task["minutes"] }
      def slots = @slots ||= plan ? plan.slots.includes(:rehearsal).to_a : []
      def runs = slots.select { |slot| slot.kind == "run" }.sort_by { |slot| slot.rehearsal.date }
      def first_run = runs.first&.rehearsal&.date
      def ready_on = unplaced.empty? ? runs.last&.rehearsal&.date : nil
      def slack = ready_on && piece.show_date && (piece.show_date - ready_on).to_i
      def full_runs = piece.setting("full_runs")
      def minutes_open = open_rehearsals.sum(&:minutes)

      def next_rehearsals
        open_rehearsals.first(3).map { |rehearsal| [rehearsal, slots.select { |slot| slot.rehearsal_id == rehearsal.id && slot.work? }.sort_by(&:start_minute)] }
      end

      def missing
        [(:structure if order.links.empty?), (:cast if snapshot.cast.empty?), (:rehearsals if open_rehearsals.empty?)].compact
      end
    end
  end
end
