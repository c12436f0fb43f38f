# frozen_string_literal: true

module App
  module Planning
    module Pages
      # What a plan would have to find a place for, and what there is, before one is made.
      class WhatItNeeds
        Line = Struct.new(:name, :count, :minutes, keyword_init: true)
        # Kinds of tasks under the names of what there is to do.
        GROUPS = {
          "teaching" => %w[make learn difference], "joins" => %w[join], "placing" => %w[place], "chains" => %w[chain],
          "cleaning" => %w[clean review catchup], "runs" => %w[run]
        }.freeze
        private_constant :GROUPS

        # lines: [Line] of what is to be done; there: what there is for it, in sentences.
        attr_reader :lines, :there

        # draft: Reading::PlanDraft; it is read here, once, and not kept.
        def initialize(draft)
          @lines = groups(draft.tasks)
          @there = rehearsals(draft.problem.windows, draft.season)
        end

        def minutes = lines.sum(&:minutes)

        private

        def groups(tasks)
          GROUPS.filter_map do |name, kinds|
            own = tasks.select { |task| kinds.include?(task.kind) }
            Line.new(name: I18n.t("plan_needs.#{name}"), count: own.size, minutes: own.sum(&:minutes)) if own.any?
          end
        end

        # shared: evenings in which other pieces work too.
        def rehearsals(windows, season)
          shared = season.others.select(&:work?).map(&:rehearsal_id).uniq.size
          [
            I18n.t("plan_needs.there", count: windows.size, minutes: windows.sum(&:minutes)),
            (I18n.t("plan_needs.shared", count: shared) if shared.positive?),
            (I18n.t("plan_needs.by", day: Shared::Dates.day(season.due)) if season.due)
          ].compact
        end
      end
    end
  end
end
