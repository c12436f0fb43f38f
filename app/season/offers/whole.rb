# frozen_string_literal: true

module App
  module Season
    module Offers
      # Several pieces planned as one: one plan of each, in which nobody is in two places, as an offer that may be
      # taken. It stands with the piece that goes first; asked: {"pieces" => "8 3"}, the first first.
      class Whole < Planning::Offers::Solving
        OneSeason = Core::Planning::OneSeason
        private_constant :OneSeason

        def result
          versions = Together.versions(pieces)
          plan = solved
          return nil if @offer.stopping?

          @offer.note(0.9)
          made = {}
          season.shares(plan) do |id, share|
            made[id] = Planning::Actions::PlanWithReviews.new(drafts.fetch(id), share)
            made[id].plan
          end
          sides = pieces.map { |piece| facts(piece, made[piece.id]) }
          { facts: { versions:, changes: plan.changes.to_h, pieces: sides },
            plans: made.to_h { |id, each| [id.to_s, stored(drafts.fetch(id), each)] } }
        end

        private

        def pieces = @pieces ||= Together.pieces(@offer.studio, @offer.asked["pieces"])

        def drafts
          @drafts ||= pieces.to_h { |piece| [piece.id, Reading::PlanDraft.new(piece, @now, apart: pieces - [piece])] }
        end

        def season
          @season ||= OneSeason.new(
            pieces.each_with_index.map do |piece, i|
              OneSeason::Part.new(id: piece.id, order: i + 1, problem: problem(piece, drafts.fetch(piece.id)))
            end
          )
        end

        # What people were told counts; a draft that nobody was told does not.
        def problem(piece, draft)
          told = piece.published_plan ? draft.season.placements(draft.plan) : []
          draft.problem(plan: told, pinned: draft.season.pinned, unavailable: draft.problem.unavailable + fixed)
        end

        # What all of them were told for the next days.
        def fixed
          @fixed ||= drafts.values.flat_map { |draft| draft.fixed.slots.flat_map { |slot| draft.season.taken(slot) } }
        end

        def solved
          how = { effort: "normal", stop: -> { @offer.stopping? } }
          return Core::Planning::Solver.new(season.problem, **how).plan if season.problem.plan.empty?

          Core::Planning::Replanning.new(season.problem, **how).best
        end

        def facts(piece, made)
          figures = Core::Planning::PlanFigures.new(made.plan, last: drafts.fetch(piece.id).fixed.last_run)
          { id: piece.id, title: piece.title, first_run: figures.first_run, ready: figures.ready,
            wanted: drafts.fetch(piece.id).season.target&.date&.iso8601, unplaced: figures.unplaced,
            runs: made.plan.placements.count { |each| each.task.start_with?("run-") },
            without: made.plan.unplaced.keys.map { |id| drafts.fetch(piece.id).names.fetch(id) }, now: now_side(piece) }
        end

        # The plan there is, as it lies.
        def now_side(piece)
          plan = piece.latest_plan or return
          { ready: plan.result["ready"], unplaced: plan.result.fetch("unplaced", []).sum { |task| task["minutes"] } }
        end

        def stored(draft, made)
          Planning::Offers::PlanForOffer.new(draft, made.plan, made:).stored
        end
      end
    end
  end
end
