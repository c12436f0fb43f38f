# frozen_string_literal: true

module App
  module Web
    # Routes exist only through `allow`, which names who may come in:
    #
    #   allow :director, :choreographer, get: "/pieces/:piece" do … end
    #
    # :anyone needs no sign-in; :account is anybody signed in, whatever the studio; :member is every role of
    # the studio; :bearer is whoever holds a dancer's private link. A bare verb raises when the file is loaded.
    module Access
      Rule = Struct.new(:verb, :path, :roles)
      RULES = [] # rubocop:disable Style/MutableConstant -- filled while the routes register
      KNOWN = %i[anyone account member director choreographer assistant bearer].freeze

      def allow(*roles, **route, &block)
        raise ArgumentError, "name who may use #{route}" if roles.empty? || (roles - KNOWN).any?

        verb, path = route.first
        RULES << Rule.new(verb, path, roles)
        @declaring = true
        send(verb, path) do
          admit(roles)
          instance_exec(&block)
        end
      ensure
        @declaring = false
      end

      private

      # Sinatra's own registration of a route, closed to everybody but `allow`.
      def route(verb, path, options = {}, &)
        raise ArgumentError, "#{verb} #{path}: a route must say who may use it (allow …)" unless @declaring

        super
      end
    end
  end
end
