# frozen_string_literal: true

module App
  module Web
    module Middleware
      # What one request asks the database twice is answered once, until it writes or locks something. The connection
      # is given back when the request is over, unless whoever called has a transaction open on it: that is theirs, and
      # in the pool another thread could take it.
      class Connections
        def initialize(app) = @app = app

        def call(env)
          theirs = ActiveRecord::Base.connection_pool.active_connection&.transaction_open?
          ActiveRecord::Base.cache { @app.call(env) }
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!(:all) unless theirs
        end
      end
    end
  end
end
