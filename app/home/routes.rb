# frozen_string_literal: true

module App
  module Home
    # The state of the work and the next decision.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/") { page "home/show", Pages::Show.new(member, local_now) }
      end
    end
  end
end
