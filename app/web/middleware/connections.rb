# frozen_string_literal: true

module App
  module Web
    module Middleware
      # What one request asks the database twice is answered once, until it writes or locks something. The connection
      # is given back when the request is over.
      class Connections
        def initialize(app) = @app = app

        def call(env)
          ActiveRecord::Base.cache { @app.call(env) }
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!(:all)
        end
      end
    end
  end
end
