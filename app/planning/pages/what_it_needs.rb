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

        # draft: Reading::PlanDraft.
        def initialize(draft) = @draft = draft

        # [Line] of what is to be done.
        def lines
          @lines ||= GROUPS.filter_map do |name, kinds|
            own = @draft.tasks.select { |task| kinds.include?(task.kind) }
            Line.new(name: I18n.t("plan_needs.#{name}"), count: own.size, minutes: own.sum(&:minutes)) if own.any?
          end
        end

        def minutes = lines.sum(&:minutes)

        # What there is for it, in sentences.
        def there
          windows = @draft.problem.windows
          [
            I18n.t("plan_needs.there", count: windows.size, minutes: windows.sum(&:minutes)),
            (I18n.t("plan_needs.shared", count: shared) if shared.positive?),
            (I18n.t("plan_needs.by", day: Shared::Dates.day(@draft.season.due)) if @draft.season.due)
          ].compact
        end

        private

        # Evenings in which other pieces work too.
        def shared = @shared ||= @draft.season.others.select(&:work?).map(&:rehearsal_id).uniq.size
      end
    end
  end
end
