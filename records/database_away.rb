# frozen_string_literal: true

module Records
  # What says that the database is away, rather than that something asked of it was wrong.
  module DatabaseAway
    SIGNS = [
      ActiveRecord::ConnectionNotEstablished,
      ActiveRecord::ConnectionFailed,
      ActiveRecord::ConnectionTimeoutError,
      PG::ConnectionBad,
      PG::AdminShutdown,
      PG::CannotConnectNow
    ].freeze

    # Whether an error, or what it came from, is one of them.
    def self.behind?(error)
      [error, error.cause].compact.any? { |each| SIGNS.any? { |sign| each.is_a?(sign) } }
    end
  end
end
