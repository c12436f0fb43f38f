# frozen_string_literal: true

module App
  module Web
    # Routes exist only through `allow`, which names who may come in and what may be sent:
    #
    #   allow :director, post: "/rooms", takes: { room: :text, capacity: :text } do … end
    #
    # :anyone needs no sign-in; :account is anybody signed in, whatever the studio; :member is every role of
    # the studio; :bearer is whoever holds a dancer's private link; :program is another program with a token. takes: see
    # Shape; nothing else gets through. A form is done once, however often it is sent (Flow#once). A bare verb raises
    # when the file is loaded.
    module Access
      Rule =
        Struct.new(:verb, :path, :roles, :shape) do
          # Names in the path: "/rooms/:id" has "id".
          def names = path.scan(/:(\w+)/).flatten
        end
      RULES = [] # rubocop:disable Style/MutableConstant -- filled while the routes register
      # Where on the spine a page of a piece stands.
      EVERYWHERE = { at: :text }.freeze
      KNOWN = %i[anyone account member director choreographer assistant bearer program].freeze

      def allow(*roles, takes: {}, **route, &block)
        raise ArgumentError, "name who may use #{route}" if roles.empty? || (roles - KNOWN).any?

        verb, path = route.first
        RULES << (rule = Rule.new(verb, path, roles, Shape.new({ **EVERYWHERE, **takes })))
        @declaring = true
        send(verb, path) do
          env["join_chain.rule"] = rule
          admit(roles)
          take(rule)
          verb == :get ? instance_exec(&block) : once(rule) { instance_exec(&block) }
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
