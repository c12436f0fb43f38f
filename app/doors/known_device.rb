# frozen_string_literal: true

require "openssl"

module App
  module Doors
    # A device on which somebody came in by a door before says so by a signed cookie, bound to that door: an account's
    # address, or a dancer's sheet. It has tries of its own, so that wrong ones from anywhere else do not lock it out;
    # it
    # opens nothing. Of each device the last few doors are known.
    class KnownDevice
      COOKIE = "known_device"
      DAYS = 400
      MOST = 8
      ENTRY = /\A(\h{16})-(\h{32})\z/

      # cookie: as the browser sent it, or nil.
      def initialize(cookie)
        @entries = cookie.to_s[0, 1000].split(".").filter_map { |entry| ENTRY.match(entry)&.captures }.first(MOST)
      end

      # Under which the device is known at a door, or nil.
      def at(door) = @entries.find { |id, sign| right?(door, id, sign) }&.first

      # The cookie's text once this device came in there.
      def with(door)
        own, others = @entries.partition { |id, sign| right?(door, id, sign) }
        id = own.first&.first || SecureRandom.hex(8)
        [[id, sign(door, id)], *others].first(MOST).map { |entry| entry.join("-") }.join(".")
      end

      private

      def right?(door, id, sign) = OpenSSL.fixed_length_secure_compare(sign, sign(door, id))

      def sign(door, id)
        OpenSSL::HMAC.hexdigest("SHA256", Settings.session_secret, "known device #{id} #{door}")[0, 32]
      end
    end
  end
end
