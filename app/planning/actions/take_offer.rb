# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Makes one plan of an offer the piece's newest draft, just as it was shown: nothing is solved here. A change that
      # was only tried is done for good first. Refused where piece or season changed since it was worked out.
      class TakeOffer
        def initialize(offer, way, account)
          @offer = offer
          @piece = offer.piece
          @way = way
          @account = account
        end

        # Value: the plan.
        def run
          return Shared::Result.no({ base: I18n.t("offers.gone") }) unless @offer.done? && @offer.plans.key?(@way)

          @piece.alone(:planning) do
            next Shared::Result.no({ base: I18n.t("offers.stale") }, :stale) if stale?

            Shared::Result.ok(take)
          end
        end

        private

        # Whether piece or season changed since it was worked out, or one of its rehearsals has begun.
        def stale? = !@offer.fresh? || !ahead?

        def ahead?
          open = now_draft.season.open.to_set { |rehearsal| Records::Mapping::Identifiers.window(rehearsal.id) }
          planned = @offer.plans.fetch(@way)["placements"].to_set { |each| each["window"] }
          (planned - open - [Records::Mapping::Identifiers::EXTRA]).empty?
        end

        def now_draft = Reading::PlanDraft.new(@piece, @piece.studio.local(Shared::Clock.now), soon: @offer.soon?)

        def take
          windows = @offer.kind == "what_if" ? Changes.of(@piece, @offer.asked).run(@account) : {}
          choose_school
          plan = write(windows)
          @offer.update!(taken_at: Shared::Clock.now)
          go_on(plan) unless @offer.kind == "better"
          plan
        end

        # Nobody has seen the first plan of all: the search may put a better one in its place.
        def go_on(plan)
          chosen = @offer.kind != "plan" || !@piece.published_plan.nil?
          Improve.start(plan, way: @offer.facts["way"] || kept_way, soon: @offer.soon?, chosen:)
        end

        # Which way the search goes on: planning again keeps what people know.
        def kept_way = Offers::Replanning::WAYS.find { |way| way == @way }

        def choose_school
          school = @offer.kind == "schools" ? @way : @offer.asked["school"].presence
          return if school.nil? || school == @piece.setting("school") || !Core::Planning::Schools::ALL.key?(school)

          @piece.update!(settings: @piece.settings.merge("school" => school))
        end

        def write(windows)
          data = @offer.plans.fetch(@way)
          stored = Records::Mapping::StoredPlans.load(data, windows:)
          draft = now_draft
          saving = Save.new(@piece, @account, stored, season: draft.season, result: data["result"],
                                                      pinned: data["pinned"])
          saving.run(kept: draft.kept_slots(data.fetch("fixed", [])), fixed: draft.fixed)
        end
      end
    end
  end
end
