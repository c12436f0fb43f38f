# frozen_string_literal: true

module App
  module Shared
    # The one clock of the application. Specs set it; everything that needs the time asks here.
    module Clock
      class << self
        attr_writer :frozen_at

        def now = @frozen_at || Time.now.utc
      end
    end
  end
end
