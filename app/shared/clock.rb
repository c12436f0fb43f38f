# frozen_string_literal: true

module App
  module Shared
    # The one clock of the application. Specs set it; everything that needs the time asks here.
    module Clock
      class << self
        attr_writer :frozen_at

        def now = @frozen_at || Time.now.utc

        # Names of the time zones to choose from.
        def zones
          TZInfo::Timezone.all_identifiers.grep(%r{\A(Africa|America|Asia|Atlantic|Australia|Europe|Indian|Pacific)/})
        end
      end
    end
  end
end
