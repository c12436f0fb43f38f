# frozen_string_literal: true

module Formats
  # plan-result-1: a plan as the solver answers it (docs/formats/plan-result-1.schema.json); plan-result-2: the answer
  # to a plan-problem-2 (docs/formats/plan-result-2.schema.json).
  module PlanResult
    NAME = "plan-result-1"
    STUDIO = "plan-result-2"

    # Core::Planning::Plan => JSON text. seconds: how long it took, measured outside the core; say: a callable
    # (key, **values) => text; names: {id => name}; studio: whether it answers a plan-problem-2.
    def self.render(plan, seconds:, say:, names: {}, studio: false)
      writer = Core::Planning::ReasonWriter.new(names, say:)
      JSON.pretty_generate(
        "format" => studio ? STUDIO : NAME,
        "feasible" => plan.complete?,
        "complete" => plan.complete?,
        "ready_window" => plan.ready_window,
        "ready_bound" => plan.ready_bound,
        "unplaced_minutes" => plan.unplaced_minutes,
        "cost" => plan.cost,
        "plan" => blocks(plan),
        "calls" => plan.calls.map { |c| c.to_h.transform_keys(&:to_s) },
        "reasons" => plan.reasons.map { |r| reason(plan, r, writer) },
        "proven_impossible" => plan.proven_impossible?,
        "repairs" =>
          plan.repairs.map { |r| repair(r, Core::Planning::RepairWriter.new(names, say:)) },
        **around(plan),
        **(studio ? of_studio(plan) : {}),
        **(plan.changes ? { "changes" => plan.changes.to_h.transform_keys(&:to_s) } : {}),
        "seed" => plan.seed,
        "iterations" => plan.iterations,
        "seconds" => seconds.round(4),
        "stopped_by" => plan.stopped_by
      )
    end

    # Blocks in time order, with who leads and misses them where that is chosen, and what the plan adds of its own.
    def self.blocks(plan)
      placed = plan.placements.map do |each|
        party = plan.party(each)
        found = each.to_h.except(:lead).transform_keys(&:to_s)
        party ? found.merge("lead" => party.lead, "missing" => party.missing) : found
      end
      order = plan.problem.windows.each_with_index.to_h { |window, i| [window.id, i] }
      (placed + plan.own.map { |each| own(each) }).sort_by.with_index { |b, i| [order[b["window"]], b["start"], i] }
    end

    def self.own(block)
      found = { "window" => block.window, "start" => block.start, "minutes" => block.minutes, "room" => block.room,
                "who" => block.who, "lead" => block.lead }
      found.merge(block.of ? { "catches_up" => block.of } : { "kind" => block.kind }).compact
    end

    # What plan-result-2 says besides.
    def self.of_studio(plan)
      { "first_aim_missed" => plan.first_aim_missed, "unplaced_catch_ups" => plan.unplaced_catch_ups,
        "price" => plan.prices.transform_keys(&:to_s), **gap(plan) }
    end

    # Per cent above the bound, for a complete plan that costs anything.
    def self.gap(plan)
      bound = plan.bound.to_i
      bound.positive? ? { "bound" => bound, "gap" => (100.0 * (plan.prices.values.sum - bound) / bound).round(1) } : {}
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

    def self.reason(plan, reason, writer)
      {
        "type" => type(plan, reason),
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

    # The kinds the format knows: of days away it is told whose they are, of no rehearsal left that no room is.
    def self.type(plan, reason)
      return "room" if reason.type == :none_left
      return reason.type.to_s unless %i[away missed_days].include?(reason.type)

      plan.problem.choreographers.intersect?(Array(reason.who)) ? "choreographer" : "dancer"
    end
    private_class_method :type, :reason, :repair, :around, :plain, :missing, :blocks, :own, :of_studio, :gap
  end
end
