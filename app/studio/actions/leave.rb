# frozen_string_literal: true

module App
  module Studio
    module Actions
      # Somebody leaves a studio; the last director may not.
      class Leave
        def initialize(member) = @member = member

        def run
          return Shared::Result.no({ base: I18n.t("settings.last_director") }) if @member.last_director?

          @member.destroy!
          Shared::Result.ok
        end
      end
    end
  end
end
