# frozen_string_literal: true

require "securerandom"
require "digest"

module Records
  # Secret links: the token goes to the person, only its digest is stored.
  module Token
    extend ActiveSupport::Concern

    class_methods do
      # A new row with a fresh token: [row, token].
      def issue(token: SecureRandom.urlsafe_base64(24), **fields)
        [create!(**fields, token_digest: Token.digest(token)), token]
      end

      def by_token(token) = find_by(token_digest: Token.digest(token.to_s))
    end

    def self.digest(token) = Digest::SHA256.hexdigest(token)
  end
end
