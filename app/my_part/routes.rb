# frozen_string_literal: true

module App
  module Routes
    # A dancer's own page, behind their private link.
    module MyPart
      def self.registered(app)
        app.allow :bearer, get: "/my/:token" do
          page :my_part, Pages::MyPart.new(bearer.person, Clock.now), layout: :phone
        end
      end
    end
  end
end
