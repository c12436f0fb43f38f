# frozen_string_literal: true

module Formats
  # plan-result-1: a plan as the solver answers it (docs/formats/plan-result-1.schema.json).
  module PlanResult
    NAME = "plan-result-1"

    # Core::Planning::Plan => JSON text. seconds: how long it took, measured outside the core; say: a callable
    # (key, **values) => text; names: {id => name}.
    def self.render(plan, seconds:, say:, names: {})
      writer = Core::Planning::ReasonWriter.new(names, say:)
      JSON.pretty_generate(
        "format" => NAME,
        "feasible" => plan.complete?,
        "complete" => plan.complete?,
        "ready_window" => plan.ready_window,
        "ready_bound" => plan.ready_bound,
        "unplaced_minutes" => plan.unplaced_minutes,
        "cost" => plan.cost,
        "plan" => plan.placements.map { |p| p.to_h.transform_keys(&:to_s) },
        "calls" => plan.calls.map { |c| c.to_h.transform_keys(&:to_s) },
        "reasons" => plan.reasons.map { |r| reason(r, writer) },
        "proven_impossible" => plan.proven_impossible?,
        "repairs" =>
          plan.repairs.map { |r| repair(r, Core::Planning::RepairWriter.new(names, say:)) },
        **around(plan),
        **(plan.changes ? { "changes" => plan.changes.to_h.transform_keys(&:to_s) } : {}),
        "seed" => plan.seed,
        "iterations" => plan.iterations,
        "seconds" => seconds.round(4),
        "stopped_by" => plan.stopped_by
      )
    end

    # What stands around the file's tasks; only where the problem asks for it.
    def self.around(plan)
      asked = plan.problem
      found = {}
      found["re_warms"] = plain(plan.re_warms) if asked.rewarm
      return found unless (asked.recap + asked.to_music).positive?

      found.merge(
        "bookends" => plain(plan.bookends),
        "missing_bookends" => plan.missing_bookends.map { |wish| missing(plan, wish) }
      )
    end

    def self.plain(list) = list.map { |each| each.to_h.transform_keys(&:to_s) }

    def self.missing(plan, wish)
      { "kind" => wish.kind, "window" => plan.problem.open_windows[wish.window].id, "tasks" => wish.tasks.map(&:id) }
    end

    def self.repair(repair, writer)
      { "change" => writer.text(repair), "kind" => repair.kind.to_s, "ready_window" => repair.ready_window }
    end

    def self.reason(reason, writer)
      {
        "type" => reason.type.to_s,
        "who" => Array(reason.who).first,
        "unit" => reason.unit.to_s,
        "need" => reason.need,
        "have" => reason.have,
        "short" => reason.short,
        "tasks" => reason.tasks,
        "windows" => reason.windows,
        "text" => writer.text(reason)
      }
    end
    private_class_method :reason, :repair, :around, :plain, :missing
  end
end
