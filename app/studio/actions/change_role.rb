# frozen_string_literal: true

module App
  module Studio
    module Actions
      # Gives a member another role, or takes them out; a studio keeps a director.
      class ChangeRole
        def initialize(place, params)
          @place = place
          @role = params["role"].to_s
        end

        def run
          if @place.last_director? && @role != "director"
            return Shared::Result.no({ base: I18n.t("settings.last_director") })
          end
          return Shared::Result.ok(@place.destroy!) if @role == "remove"

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
