# frozen_string_literal: true

require "openssl"

module App
  module Web
    # What stands in the address of a form that sends a large file: that a page was opened here by somebody who may send
    # it, within a day. It is looked at before the file is read; the form's own token, in the file's midst, after it.
    module UploadTicket
      HOURS = 24
      NAME = "ticket"

      module_function

      # path => the same with a ticket.
      def on(path, now) = "#{path}?#{NAME}=#{of(path, now.to_i + (HOURS * 3600))}"

      # Whether the query of a path holds one that is still good.
      def good?(path, query, now)
        given = query.to_s[/(?:\A|&)#{NAME}=(\d{1,12}-\h{32})(?:&|\z)/o, 1]
        return false unless given && given.to_i > now.to_i

        OpenSSL.fixed_length_secure_compare(given, of(path, given.to_i).rjust(given.size))
      rescue ArgumentError
        false
      end

      def of(path, until_then)
        digest = OpenSSL::HMAC.hexdigest("SHA256", Settings.session_secret, "upload #{path} #{until_then}")
        "#{until_then}-#{digest[0, 32]}"
      end
    end
  end
end
