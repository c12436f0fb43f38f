# frozen_string_literal: true

module App
  module Actions
    # Makes a plan the one people are told; the one before is kept as replaced. Teachers whose calls change get a mail.
    # Value: {person => what changes} of everybody affected. Refused while it has somebody, or a room, in two pieces at once:
    # another piece's plan may have been told since this one was made.
    class PublishPlan
      def initialize(plan, now)
        @plan = plan
        @piece = plan.piece
        @now = now
      end

      def run
        affected = CallChanges.new(@piece, @piece.published_plan, @plan, @piece.studio.today(@now)).all
        double = @piece.studio.with_lock { double_calls.tap { |found| put if found.empty? } }
        return Result.no({ base: I18n.t("plans.double", why: double.first(3).join(" ")) }) if double.any?

        tell(affected)
        Result.ok(affected)
      end

      private

      def double_calls = Pages::Upsets.new(@plan, PlanDraft.new(@piece, @piece.studio.local(@now)), Snapshots.of(@piece)).double

      def put
        @piece.plans.where(replaced_at: nil).where.not(published_at: nil).where.not(id: @plan.id).update_all(replaced_at: @now)
        @plan.update!(published_at: @plan.published_at || @now, replaced_at: nil, search: {})
      end

      def tell(affected)
        @piece.studio.memberships.where(person_id: affected.keys).includes(:account).find_each do |membership|
          lines = affected[membership.person_id].map(&:text).join("\n")
          Post.new(@piece.studio).send_out(to: membership.account.email, template: "plan_told", name: membership.account.name, piece: @piece.title, lines:, link: "#{Settings.app_url}/pieces/#{@piece.id}/calls")
        end
      end
    end
  end
end
