# frozen_string_literal: true

module App
  module Season
    module Actions
      # Makes the plans of a season's offer the newest drafts of its pieces, just as they were shown; people are warmed
      # up as their whole evening asks. Refused where a piece or the season changed since.
      class TakeTogether
        Mapping = Records::Mapping
        private_constant :Mapping

        def initialize(offer, account, now)
          @offer = offer
          @studio = offer.studio
          @account = account
          @now = now
        end

        # Value: [plan].
        def run
          return Shared::Result.no({ base: I18n.t("offers.gone") }) unless @offer.done? && @offer.taken_at.nil?

          alone(pieces.sort_by(&:id)) do
            next Shared::Result.no({ base: I18n.t("season.stale") }, :stale) if stale?

            Shared::Result.ok(take)
          end
        end

        private

        def pieces = @pieces ||= Together.pieces(@studio, @offer.asked["pieces"])

        # Nobody else plans any of them meanwhile.
        def alone(list, &block)
          first, *rest = list
          first ? first.alone(:planning) { alone(rest, &block) } : yield
        end

        def stale?
          season = @studio.pieces.joins(:studio).where(id: pieces.map(&:id)).pick("studios.season_version")
          @offer.season_version != season || @offer.facts.fetch("versions") != Together.versions(pieces) ||
            begun?
        end

        # Whether one of its rehearsals is not ahead any more.
        def begun?
          ahead = pieces.flat_map { |piece| Mapping::Seasons.new(piece, now: @now).open.map(&:id) }.uniq
          open = ahead.map { |id| Mapping::Identifiers.window(id) }
          planned = @offer.plans.values.flat_map { |data| data["placements"].map { |each| each["window"] } }.uniq
          (planned - open).any?
        end

        def take
          plans = pieces.map { |piece| write(piece) }
          plans.each { |plan| warm_up(plan) }
          @offer.update!(taken_at: Shared::Clock.now)
          plans
        end

        def write(piece)
          data = @offer.plans.fetch(piece.id.to_s)
          draft = Reading::PlanDraft.new(piece, @now)
          saving = Planning::Actions::Save.new(
            piece, @account, Mapping::StoredPlans.load(data), season: draft.season, result: data["result"],
                                                              pinned: data["pinned"], together: @offer.id
          )
          saving.run(kept: draft.kept_slots(data.fetch("fixed", [])), fixed: draft.fixed)
        end

        def warm_up(plan)
          season = Mapping::Seasons.new(plan.piece, now: @now)
          fixed = @offer.plans.fetch(plan.piece_id.to_s).fetch("fixed", [])
          ahead = (plan.slots.reload.map(&:rehearsal_id).uniq & season.open.map(&:id)) - fixed
          Planning::Actions::WarmUps.new(plan, season).redo(ahead)
        end
      end
    end
  end
end
