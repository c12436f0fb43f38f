# frozen_string_literal: true

require "openssl"

module App
  module People
    module Actions
      # A private link for every dancer who has none, and for the guardian of every minor who has none; those that are
      # given stay as they are. Addresses are kept nowhere: they come out of a secret of the session that made them
      # (docs/decisions/links_at_once.md), so that they can be printed until its owner signs out.
      class GiveLinks
        # person: Records::Person; kind: "dancer" or "guardian"; url: the whole address.
        Given = Struct.new(:person, :kind, :url, keyword_init: true)
        KINDS = %w[dancer guardian].freeze

        # [[person, kind], …] of links that nobody has.
        def self.missing(studio)
          given = studio.person_links.given.pluck(:person_id, :kind)
          wanted(studio).reject { |person, kind| given.include?([person.id, kind]) }
        end

        # [[person, kind], …] of everybody.
        def self.wanted(studio)
          studio.people.dancers.flat_map { |person| (person.adult ? %w[dancer] : KINDS).map { |kind| [person, kind] } }
        end

        # secret: of the session.
        def initialize(studio, secret)
          @studio = studio
          @secret = secret.to_s
        end

        # How many were made.
        def run
          @studio.alone(:people) do
            GiveLinks.missing(@studio).count do |person, kind|
              person.person_links.issue(studio_id: @studio.id, kind:, token: token(person, kind))
            end
          end
        end

        # [Given], by name: those that were made with this secret and are given still.
        def given
          return [] if @secret.empty?

          live = @studio.person_links.given.pluck(:token_digest).to_set
          GiveLinks.wanted(@studio).filter_map do |person, kind|
            token = token(person, kind)
            next unless live.include?(Records::Token.digest(token))

            Given.new(person:, kind:, url: "#{Settings.app_url}/my/#{token}")
          end
        end

        private

        def token(person, kind)
          bytes = OpenSSL::HMAC.digest("SHA256", @secret, "#{@studio.id} #{person.id} #{kind}")
          [bytes[0, 24]].pack("m0").tr("+/", "-_").delete("=")
        end
      end
    end
  end
end
