# frozen_string_literal: true

module Records
  module Mapping
    # A plan of the core as JSON, to be written as rows later just as it was shown, and back.
    module StoredPlans
      Planning = Core::Planning
      private_constant :Planning
      TASK = %i[id kind minutes split dancers choreographers sections links title eights from_eight].freeze
      # What writing a plan needs of it. tasks: people as row ids; lately: as the season names them.
      Stored = Struct.new(:placements, :bookends, :tasks, :lately, :parties, :own, keyword_init: true) do
        # Who leads and misses a placement, or nil.
        def party(placement) = parties[placement]
      end

      module_function

      # plan: Core::Planning::Plan; tasks: [Task] with people as row ids => a hash of plain values.
      def dump(plan, tasks)
        {
          "placements" => plan.placements.map { |each| plain(each.to_h) },
          "parties" => plan.placements.map { |each| plan.party(each)&.then { |party| plain(party.to_h) } },
          "own" => plan.own.map { |each| plain(each.to_h) },
          "bookends" => plan.bookends.map { |each| plain(each.to_h) },
          "tasks" => tasks.map { |task| plain(task.to_h.slice(*TASK)) },
          "lately" => plan.problem.lately.map { |task| plain(task.to_h.slice(*TASK)) }
        }
      end

      # The same back. windows: {a window's text => another}, for a rehearsal that was only tried then.
      def load(data, windows: {})
        placements = data["placements"].map { |each| Planning::Placement.new(**moved(each, windows)) }
        Stored.new(
          placements:,
          parties: parties(placements, data.fetch("parties", [])),
          own: data.fetch("own", []).map { |each| Planning::WarmBlocks::Block.new(**moved(each, windows)) },
          bookends: data["bookends"].map { |each| Planning::Bookends::Bookend.new(**moved(each, windows)) },
          tasks: data["tasks"].map { |each| Planning::Task.new(**each.symbolize_keys) },
          lately: data["lately"].map { |each| Planning::Task.new(**each.symbolize_keys) }
        )
      end

      # {Placement => Answer::Party}; those kept before somebody could miss something have none.
      def parties(placements, kept)
        said = placements.zip(kept).select(&:last)
        said.to_h { |each, party| [each, Planning::Answer::Party.new(**party.symbolize_keys)] }
      end

      def plain(values) = values.transform_keys(&:to_s)

      def moved(each, windows)
        values = each.symbolize_keys
        values.merge(window: windows.fetch(values[:window], values[:window]))
      end
    end
  end
end
