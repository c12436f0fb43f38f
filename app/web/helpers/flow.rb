# frozen_string_literal: true

module App
  module Web
    module Helpers
      # The way of a request: finding what it is about, checking the right to it, what is said.
      module Flow
        class NotYours < StandardError
        end

        def piece = (studio && asker.piece) || halt(404)

        def find(rows, id = params["id"]) = rows.find_by(id: number(id)) || halt(404)

        # A path's or form's id; anything that is none finds nothing.
        def number(text) = text.to_s.match?(/\A\d{1,18}\z/) ? text.to_i : -1

        # Raises NotYours unless the policy says yes.
        def permit(policy, record, may)
          Pundit.authorize(member, record, may, policy_class: policy)
        rescue Pundit::NotAuthorizedError
          raise NotYours
        end

        def may?(policy, record, may) = policy.new(member, record).public_send(may)

        # An answer beside the page: it leaves the session's cookie alone, so that coming late it takes nothing away
        # that another answer put there (what is said about a form that was just saved).
        def beside = request.session_options[:skip] = true

        # What a form with two ways wants it to be: it says so, rather than turning over whatever stands there.
        def wanted?
          return params["to"] == "yes" if %w[yes no].include?(params["to"])

          refuse_input("to" => t("errors.yes_or_no"))
        end

        # undo: a path that undoes it; saved: where the form was sent whose draft is not needed any more.
        def say(text, undo: nil, saved: nil)
          session["flash"] = { "text" => text, "undo" => undo, "saved" => saved }
        end

        def take_flash = session.delete("flash")

        def json(data, code = 200)
          content_type :json
          status code
          data.to_json
        end

        def piece_page(kind, **options) = kind.new(piece:, member:, now: local_now, at: params["at"], **options)

        # The same for what may not be there.
        def found_page(kind, **options) = piece_page(kind, **options).tap { |shown| halt 404 unless shown.found? }
      end
    end
  end
end
