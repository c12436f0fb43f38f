# frozen_string_literal: true

module App
  module Studio
    module Actions
      # Somebody leaves a studio; the last director may not.
      class Leave
        def initialize(member) = @member = member

        # One at a time in a studio: of two directors who leave at once, the second is told.
        def run
          @member.studio.alone(:team) do
            next Shared::Result.no({ base: I18n.t("settings.last_director") }) if @member.last_director?

            @member.give_up(Shared::Clock.now)
            Shared::Result.ok
          end
        end
      end
    end
  end
end
