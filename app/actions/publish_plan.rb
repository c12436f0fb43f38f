# frozen_string_literal: true

module App
  module Actions
    # Makes a plan the one people are told; the one before is kept as replaced. Teachers whose calls change get a mail.
    # Value: {person => what changes} of everybody affected.
    class PublishPlan
      def initialize(plan, now)
        @plan = plan
        @piece = plan.piece
        @now = now
      end

      def run
        affected = CallChanges.new(@piece, @piece.published_plan, @plan, @piece.studio.today(@now)).all
        @piece.with_lock do
          @piece.plans.where(replaced_at: nil).where.not(published_at: nil).where.not(id: @plan.id).update_all(replaced_at: @now)
          @plan.update!(published_at: @plan.published_at || @now, replaced_at: nil, search: {})
        end
        tell(affected)
        Result.ok(affected)
      end

      private

      def tell(affected)
        @piece.studio.memberships.where(person_id: affected.keys).includes(:account).find_each do |membership|
          lines = affected[membership.person_id].map(&:text).join("\n")
          Post.new(@piece.studio).send_out(to: membership.account.email, template: "plan_told", name: membership.account.name, piece: @piece.title, lines:, link: "#{Settings.app_url}/pieces/#{@piece.id}/calls")
        end
      end
    end
  end
end
