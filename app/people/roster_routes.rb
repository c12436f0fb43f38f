# frozen_string_literal: true

module App
  module Routes
    # A roster pasted or uploaded: looked at first, then taken in whole.
    module Roster
      def self.registered(app)
        app.allow(:director, get: "/roster") { page :roster, Pages::RosterPage.new(studio, params["piece"]) }
        app.allow :director, post: "/roster/preview" do
          page :roster, Pages::RosterPage.new(studio, params["piece"], text: Actions::RosterText.from(params))
        end
        app.allow :director, post: "/roster" do
          action = Actions::ImportRoster.new(studio, params["text"], params["piece"])
          once do
            count = action.run
            say t("roster.taken", count:)
            "/people"
          end
        end
      end
    end
  end
end
