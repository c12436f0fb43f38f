# frozen_string_literal: true

module App
  module Health
    # For whoever watches the machine: /up is this process, /ready is everything it needs.
    module Routes
      def self.registered(app)
        app.allow(:anyone, get: "/up") { "up\n" }
        app.allow :anyone, get: "/ready" do
          made = Report.new(Shared::Clock.now)
          report = made.report
          json({ **report, set_aside: made.set_aside }, report.values.all? ? 200 : 503)
        end
      end
    end
  end
end
