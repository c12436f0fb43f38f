# frozen_string_literal: true

module App
  module MyPart
    # A dancer's own page, behind their private link.
    module Routes
      def self.registered(app)
        app.allow :bearer, get: "/my/:token" do
          page "my_part/show", Pages::Show.new(bearer.person, Shared::Clock.now), layout: :"web/phone"
        end
      end
    end
  end
end
