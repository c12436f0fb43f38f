# frozen_string_literal: true

module App
  module People
    # A roster pasted or uploaded: looked at first, then taken in whole.
    module RosterRoutes
      def self.registered(app)
        app.allow :director, get: "/roster", takes: { piece: :text } do
          page "people/roster", Pages::Roster.new(studio, params["piece"])
        end
        typed = { piece: :text, text: :text, columns: :table, heading: :text }
        app.allow :director, post: "/roster/preview", takes: { **typed, file: :upload } do
          by_hand = RosterText.by_hand(params)
          page "people/roster", Pages::Roster.new(studio, params["piece"], text: Shared::SheetText.of(params), by_hand:)
        rescue Formats::FaultyFile => e
          error = t("roster.not_read", why: e.faults.first.delete_prefix("the file: ").delete_prefix("roster: "))
          page "people/roster", Pages::Roster.new(studio, params["piece"], error:), status: 422
        end
        app.allow :director, post: "/roster", takes: typed do
          by_hand = RosterText.by_hand(params)
          result = Actions::ImportRoster.new(studio, params["text"], params["piece"], by_hand).run
          unless result.ok?
            given = { text: params["text"].to_s, error: result.errors[:text], by_hand: }
            shown = Pages::Roster.new(studio, params["piece"], **given)
            next page("people/roster", shown, status: 422)
          end

          say Pages::Roster.summary(result.value)
          redirect "/people"
        end
      end
    end
  end
end
