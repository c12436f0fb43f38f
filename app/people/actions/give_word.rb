# frozen_string_literal: true

require "bcrypt"

module App
  module People
    module Actions
      # The word that the page behind a dancer's sheet asks for: kept as a digest. Another word, or none, closes the
      # sheets printed before and the pages opened from them.
      class GiveWord
        LEAST = 4
        MOST = 40

        def initialize(person, typed, now)
          @person = person
          @word = Records::Person.plain_word(typed)
          @now = now
        end

        # Value: whether there is a word now.
        def run
          return Shared::Result.no({ word: I18n.t("people.word_length") }) unless right?

          @person.transaction do
            @person.person_links.given.where(kind: "sheet").update_all(revoked_at: @now)
            @person.update!(family_word: digest, sheet_token: (SecureRandom.urlsafe_base64(12) unless @word.empty?))
          end
          Shared::Result.ok(!@word.empty?)
        end

        private

        def right? = @word.empty? || @word.length.between?(LEAST, MOST)
        def digest = (BCrypt::Password.create(@word).to_s unless @word.empty?)
      end
    end
  end
end
