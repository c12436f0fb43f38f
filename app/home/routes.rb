# frozen_string_literal: true

module App
  module Routes
    # The state of the work and the next decision.
    module Home
      def self.registered(app)
        app.allow(:member, get: "/") { page :home, Pages::Home.new(member, local_now) }
      end
    end
  end
end
