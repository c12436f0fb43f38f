# frozen_string_literal: true

module App
  module Demo
    # The demo's password stands in its source: a server that people use does not run on a database that holds it.
    module Guard
      module_function

      # Ends the program in production where somebody of the demo could sign in.
      def check
        return unless Settings.production?

        found = open_doors.first or return
        abort "This database holds the demo: #{found.email} signs in with a password that everybody can read. " \
              "Use a database without the demo, or give these accounts other passwords."
      end

      # Accounts of the demo that have its password still. They share one digest, which is compared once.
      def open_doors
        digests = accounts.map(&:password_digest).uniq
        digests.select! { |digest| BCrypt::Password.new(digest) == Builder::PASSWORD }
        accounts.select { |account| digests.include?(account.password_digest) }
      end

      def accounts
        demo = Records::Membership.joins(:studio).where(studios: { demo: true }).select(:account_id)
        Records::Account.where(id: demo).or(Records::Account.where("email LIKE ?", "%@#{World::DOMAIN}")).to_a
      end
    end
  end
end
