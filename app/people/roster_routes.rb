# frozen_string_literal: true

module App
  module People
    # A roster pasted or uploaded: looked at first, then taken in whole.
    module RosterRoutes
      def self.registered(app)
        app.allow :director, get: "/roster", takes: { piece: :text } do
          page "people/roster", Pages::Roster.new(studio, params["piece"])
        end
        app.allow :director, post: "/roster/preview", takes: { piece: :text, text: :text, file: :upload } do
          text = RosterText.from(params)
          page "people/roster", Pages::Roster.new(studio, params["piece"], text:)
        rescue Formats::FaultyFile
          error = t("roster.faults.no_text", line: 1, subject: "")
          page "people/roster", Pages::Roster.new(studio, params["piece"], error:), status: 422
        end
        app.allow :director, post: "/roster", takes: { piece: :text, text: :text } do
          result = Actions::ImportRoster.new(studio, params["text"], params["piece"]).run
          unless result.ok?
            shown = Pages::Roster.new(studio, params["piece"], text: params["text"].to_s, error: result.errors[:text])
            next page("people/roster", shown, status: 422)
          end

          say Pages::Roster.summary(result.value)
          redirect "/people"
        end
      end
    end
  end
end
