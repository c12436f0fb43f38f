# frozen_string_literal: true

module App
  module Jobs
    # Goes on looking for a better plan than the first one, and puts it in its place where nobody has touched or told
    # that one meanwhile; what somebody took is not replaced, a better one is offered. Progress is kept on the plan's
    # row; whoever asks to stop is heard there. Running it again is harmless.
    class ImprovePlan < Long
      WORK = "improve"
      EFFORT = "long"
      EVERY = 0.5

      def run(studio_id, plan_id)
        @plans = Records::Studio.find_by(id: studio_id)&.plans
        @row = @plans&.find_by(id: plan_id)
        return if @row.nil? || @row.published? || !@row.searching?

        @version = @row.lock_version
        @row.search_goes_on("state" => "running", "at" => Shared::Clock.now.iso8601)
        search
      end

      def dropped(studio_id, plan_id)
        plans = Records::Studio.find_by(id: studio_id)&.plans
        plans&.find_by(id: plan_id)&.search_ends("better" => false)
      end

      private

      def search
        piece = @row.piece
        draft = Reading::PlanDraft.new(piece, piece.studio.local(Shared::Clock.now), soon: @row.search["soon"])
        maker = Planning::Actions::Make.new(piece, nil, draft.now, way: @row.search["way"], effort: EFFORT, draft:)
        plan =
          maker.solve(
            stop: -> { stop? },
            progress: lambda do |unplaced, ready, share|
              @row.search_goes_on("unplaced" => unplaced, "ready" => draft.problem.windows[ready]&.date,
                                  "share" => share)
            end
          )
        made = Planning::Actions::PlanWithReviews.new(draft, maker.repaired(plan))
        @row.search_ends("better" => found(made, draft, maker), "share" => 1)
      end

      # What somebody took stays until they take another one.
      def found(made, draft, maker)
        gain = Planning::Offers::Gain.new(@row, made, draft)
        return false unless better?(made.plan) && gain.nothing_worse?
        return take(maker.saving(made)) unless @row.search["chosen"]

        gain.worth_asking? && untouched { gain.offer }
      end

      # The row is asked twice a second at the most.
      def stop?
        return @stopped if @asked && Process.clock_gettime(Process::CLOCK_MONOTONIC) - @asked < EVERY

        @asked = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @stopped = @plans.where(id: @row.id).pick(Arel.sql("search->>'state'")) == "stopping"
      end

      # By what planning aims at: everything placed, ready when wanted, an even load, little waiting, few changes.
      def better?(plan) = (plan.rank <=> @row.result["rank"])&.negative?

      def take(saving) = untouched { saving.replace(@row) }

      # Does something where nobody has touched or told the plan meanwhile; whether it was done.
      def untouched
        Records::Plan.transaction do
          @row.lock!
          next false if @row.lock_version != @version || @row.published?

          yield
          true
        end
      end
    end
  end
end
