# frozen_string_literal: true

module App
  module Actions
    # Somebody leaves a studio; the last director may not.
    class LeaveStudio
      def initialize(member) = @member = member

      def run
        return Result.no({ base: I18n.t("settings.last_director") }) if @member.last_director?

        @member.destroy!
        Result.ok
      end
    end
  end
end
