# frozen_string_literal: true

module App
  module Studio
    module Actions
      # Gives a member another role, or takes them out; a studio keeps a director.
      class ChangeRole
        def initialize(place, params)
          @place = place
          @role = params["role"].to_s
          @was = params["was"]
        end

        # One at a time in a studio: of two directors who demote each other, the second is told.
        def run
          studio = @place.studio
          studio.alone(:team) do
            @place = studio.memberships.find_by(id: @place.id)
            @place ? change : Shared::Result.no({ base: I18n.t("team.gone") })
          end
        end

        private

        def change
          if @was.present? && @was != @place.role
            return Shared::Result.no({ base: I18n.t("team.meanwhile", role: I18n.t("roles.#{@place.role}")) })
          end

          if @place.last_director? && @role != "director"
            return Shared::Result.no({ base: I18n.t("settings.last_director") })
          end
          return Shared::Result.ok(@place.give_up(Shared::Clock.now)) if @role == "remove"

          if @place.update(role: @role)
            Shared::Result.ok(@place)
          else
            Shared::Result.no({ base: I18n.t("team.which_role") })
          end
        end
      end
    end
  end
end
