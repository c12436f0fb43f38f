# frozen_string_literal: true

module App
  module Doors
    module Actions
      # The code of a dancer's sheet and the word their family knows open the dancer's own page.
      class OpenSheet
        # throttle: Throttle, whose door was counted.
        def initialize(person, typed, throttle)
          @person = person
          @word = Records::Person.plain_word(typed)
          @throttle = throttle
        end

        # What tries at a dancer's sheet are counted by.
        def self.door(person) = "sheet #{person.id}"

        # Value: the token of a fresh private link, or :wait.
        def run
          key = self.class.door(@person)
          return Shared::Result.no({ word: I18n.t("sheet_door.wait") }, :wait) if @throttle.account_full?(key)
          return Shared::Result.no({ word: I18n.t("sheet_door.wrong") }) unless @person.word?(@word)

          @throttle.forget(key)
          _, token = @person.person_links.issue(studio_id: @person.studio_id, kind: "sheet")
          Shared::Result.ok(token)
        end
      end
    end
  end
end
