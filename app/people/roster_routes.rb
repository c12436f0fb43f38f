# frozen_string_literal: true

module App
  module People
    # A roster pasted or uploaded: looked at first, then taken in whole.
    module RosterRoutes
      def self.registered(app)
        app.allow(:director, get: "/roster") { page "people/roster", Pages::Roster.new(studio, params["piece"]) }
        app.allow :director, post: "/roster/preview" do
          page "people/roster", Pages::Roster.new(studio, params["piece"], text: RosterText.from(params))
        end
        app.allow :director, post: "/roster" do
          action = Actions::ImportRoster.new(studio, params["text"], params["piece"])
          submit_once do
            count = action.run
            say t("roster.taken", count:)
            "/people"
          end
        end
      end
    end
  end
end
