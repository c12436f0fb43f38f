# frozen_string_literal: true

module App
  module Web
    module Helpers
      # What a route lets in, and doing a form's work once.
      module Gate
        # Leaves in params what the route declares, and the names in its path; ends the request where something is of
        # another kind.
        def take(rule)
          beside if wants_json?
          path = params.slice(*rule.names)
          read = rule.shape.read(sent)
          refuse_input(read.errors) if read.errors.any?
          @params = Sinatra::IndifferentHash.new.merge(without_zero_bytes(read.values)).merge(path)
        end

        # What came: an object of a script, or a form's fields and the address's.
        def sent
          return params unless env.key?("join_chain.json")

          object = env["join_chain.json"]
          object.is_a?(Hash) ? params.merge(object) : refuse_input("base" => t("errors.object"))
        end

        def refuse_input(errors)
          halt 422, json({ errors: }, 422) if wants_json?
          halt 422, erb(:unreadable, layout: :plain, locals: { frame: nil, errors: })
        end

        # Zero bytes no keyboard types and no database keeps.
        def without_zero_bytes(value)
          case value
          when String then value.valid_encoding? && value.include?("\0") ? value.delete("\0") : value
          when Array then value.map { |each| without_zero_bytes(each) }
          when Hash then value.key?("tempfile") ? value : value.transform_values { |each| without_zero_bytes(each) }
          else value
          end
        end

        # Runs the block once for a form of a studio: its token is its key. Sent again, it is led to where the first one
        # led; the same form with something else in it is shown, to be sent as a further one. Scripts have keys of
        # their own in what they send, or say what they want it to be.
        def once(rule, &block)
          of_studio = !rule.roles.intersect?(%i[anyone account])
          key = request.POST["authenticity_token"] if of_studio && !wants_json?
          return yield if key.blank?

          tenant = rule.roles.include?(:bearer) ? bearer.studio : studio
          form = Shared::SubmitOnce.new(tenant, key, [request.path_info, digestible(params)])
          outcome = form.run { answered(&block) }
          throw :halt, outcome.answer if outcome.kind == :done
          return sent_before(outcome.location) if outcome.kind == :different

          session["flash"] = outcome.said
          redirect outcome.location
        end

        private

        # What a route answers, where it leads (nil where it leads nowhere) and what is said there.
        def answered(&)
          answer = catch(:halt, &)
          [answer, (response.location if response.redirect?), session["flash"]]
        end

        def digestible(values) = values.reject { |_, value| value.is_a?(Hash) && value.key?("tempfile") }.sort.to_h

        def sent_before(location)
          beside
          status 409
          erb :sent_before,
              layout: :plain,
              locals: { frame: nil, fields: kept_fields, action: request.fullpath, location: }
        end

        # What a form sent, as pairs, to be sent again as it is; passwords and files are typed and chosen anew.
        def kept_fields
          return [] unless request.post?

          pairs = Rack::Utils.build_nested_query(request.POST).split("&")
          fields = pairs.map { |pair| pair.split("=", 2).map { |text| Rack::Utils.unescape(text.to_s) } }
          fields.reject! { |name, _| name == "authenticity_token" }
          fields.none? { |name, _| name.include?("password") || name.start_with?("file") } ? fields : []
        end
      end
    end
  end
end
