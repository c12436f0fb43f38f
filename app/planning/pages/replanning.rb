# frozen_string_literal: true

module App
  module Planning
    module Pages
      # Planning again after something happened: the plan repaired, and the plan made anew, each with what it changes
      # for people; the director picks.
      class Replanning < Offer
        KIND = "replanning"
        PATH = PATHS.fetch(KIND)
        Way = Struct.new(:key, :ready, :slip, :unplaced, :without, :changes, :waiting, :affected, keyword_init: true)

        def title = "#{I18n.t('plans.again')} · #{piece.title}"
        def conflicts = @conflicts ||= (plan = piece.latest_plan) ? Reading::PlanConflicts.of(plan, piece, now) : []

        def ways
          @ways ||= facts.fetch("ways").map do |way|
            Way.new(**way.symbolize_keys, ready: date(way["ready"]), changes: way["changes"].symbolize_keys)
          end
        end

        # Who comes to other rehearsals than now, in words.
        def affected_text(way)
          who = Shared::Lists.of(way.affected.filter_map { |id| people[id]&.name }, 8)
          I18n.t("plans.affected", count: way.affected.size, names: who)
        end
      end
    end
  end
end
