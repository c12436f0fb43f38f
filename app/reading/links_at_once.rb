# frozen_string_literal: true

require "openssl"

module App
  module Reading
    # Private links of everybody in a studio: which are missing, and those that a session made. Addresses are kept
    # nowhere: they come out of the session's secret (docs/decisions/links_at_once.md).
    class LinksAtOnce
      # person: Records::Person; kind: "dancer" or "guardian"; url: the whole address.
      Given = Struct.new(:person, :kind, :url, keyword_init: true)
      KINDS = %w[dancer guardian].freeze

      def initialize(studio, secret = nil)
        @studio = studio
        @secret = secret.to_s
      end

      # [[person, kind], …] of links that nobody has.
      def missing
        given = @studio.person_links.given.pluck(:person_id, :kind)
        wanted.reject { |person, kind| given.include?([person.id, kind]) }
      end

      # [Given], by name: those that were made with this secret and are given still.
      def given
        return [] if @secret.empty?

        live = @studio.person_links.given.pluck(:token_digest).to_set
        wanted.filter_map do |person, kind|
          token = token(person, kind)
          next unless live.include?(Records::Token.digest(token))

          Given.new(person:, kind:, url: "#{Settings.app_url}/my/#{token}")
        end
      end

      # What the address of a link ends in.
      def token(person, kind)
        bytes = OpenSSL::HMAC.digest("SHA256", @secret, "#{@studio.id} #{person.id} #{kind}")
        [bytes[0, 24]].pack("m0").tr("+/", "-_").delete("=")
      end

      private

      def wanted
        @studio.people.dancers.flat_map do |person|
          (person.adult ? KINDS.first(1) : KINDS).map { |kind| [person, kind] }
        end
      end
    end
  end
end
