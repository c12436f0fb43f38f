# frozen_string_literal: true

module App
  module Web
    # Routes exist only through `allow`, which names who may come in and what may be sent:
    #
    #   allow :director, post: "/rooms", takes: { room: :text, capacity: :text } do … end
    #
    # :anyone needs no sign-in; :account is anybody signed in, whatever the studio; :member is every role of
    # the studio; :bearer is whoever holds a dancer's private link; :program is another program with a token. takes: see
    # Shape; nothing else gets through. secret: the name in the path that opens something by itself, which no log
    # holds; a path with a name that is none of OPEN must say so. A form is done once, however often it is sent
    # (Flow#once). A bare verb raises
    # when the file is loaded.
    module Access
      Rule =
        Struct.new(:verb, :path, :roles, :shape, :secret) do
          # Names in the path: "/rooms/:id" has "id".
          def names = path.scan(/:(\w+)/).flatten

          # What the path matches: each name a part between slashes.
          def pattern
            parts = path.split(/:(\w+)/).each_slice(2)
            /#{parts.map { |text, name| "#{Regexp.escape(text)}#{"(?<#{name}>[^/]+)" if name}" }.join}/
          end

          # As it is written into a log: what is secret in it is not.
          def logged(path) = secret ? self.path.gsub(":#{secret}", "[hidden]") : path
        end
      RULES = [] # rubocop:disable Style/MutableConstant -- filled while the routes register
      # Where on the spine a page of a piece stands.
      EVERYWHERE = { at: :text }.freeze
      # Names in paths that open nothing: numbers of rows, and words of ours.
      OPEN = %w[id piece absence index number which kind step table ending picture].freeze
      KNOWN = %i[anyone account member director choreographer assistant bearer program].freeze

      def allow(*roles, takes: {}, secret: nil, **route, &block)
        raise ArgumentError, "name who may use #{route}" if roles.empty? || (roles - KNOWN).any?

        verb, path = route.first
        rule = Rule.new(verb, path, roles, Shape.new({ **EVERYWHERE, **takes }), secret)
        hidden = rule.names - OPEN
        raise ArgumentError, "#{path}: say what is secret in it" unless hidden == [secret].compact.map(&:to_s)

        RULES << rule
        @declaring = true
        send(verb, rule.pattern) do
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
