# frozen_string_literal: true

require "openssl"

module App
  module Doors
    # Guessing is slow: so many tries at a door by one address, and so many for one account, in a stretch of time;
    # counted in the database, for all processes together, before anything is compared. It serves signing in and mailed
    # links only; nothing that a rehearsal needs comes here.
    class Throttle
      Limit = Struct.new(:most, :seconds)
      LIMITS = {
        # Anything at the doors, by one address.
        "address" => Limit.new(30, 60),
        # Signing in to one account from one address, and from anywhere.
        "account_here" => Limit.new(6, 900),
        "account" => Limit.new(40, 900),
        # From a device on which its owner came in before (KnownDevice), whatever others try; and by a mailed link.
        "known" => Limit.new(10, 900),
        "link" => Limit.new(10, 900),
        # Mails asked for to one address of mail.
        "mail" => Limit.new(3, 900)
      }.freeze

      attr_reader :now

      # device: KnownDevice.
      def initialize(address, now, device = KnownDevice.new(nil))
        @address = address.to_s
        @now = now
        @device = device
      end

      # Counts a try of everybody here; whether it is one too many.
      def door_full? = full?("address", @address)

      # Counts a try at an account, whether there is one or not; whether it is one too many.
      def account_full?(email)
        known = @device.at(email)
        return full?("known", "#{email} #{known}") if known

        [full?("account_here", "#{email} #{@address}"), full?("account", email)].any?
      end

      # Counts a try by a link that was mailed.
      def link_full?(token) = full?("link", token)

      def mail_full?(email) = full?("mail", email)

      # Whoever got in begins anew.
      def forget(email)
        Records::Try.forget("account_here", digest("#{email} #{@address}"))
        Records::Try.forget("known", digest("#{email} #{@device.at(email)}"))
      end

      private

      def full?(kind, key)
        limit = LIMITS.fetch(kind)
        Records::Try.count_one(kind, digest(key), now: @now, seconds: limit.seconds) > limit.most
      end

      # Neither an address nor a mail address is kept.
      def digest(key) = OpenSSL::HMAC.hexdigest("SHA256", Settings.session_secret, key)
    end
  end
end
