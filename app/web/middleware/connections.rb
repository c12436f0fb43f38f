# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Gives the database connection back when the request is over.
      class Connections
        def initialize(app) = @app = app

        def call(env)
          @app.call(env)
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!(:all)
        end
      end
    end
  end
end
