# frozen_string_literal: true

module App
  module Doors
    # Signing in and out, the way back in, invitations, the demo's doors.
    module Routes
      # Counting who comes to the doors.
      module Crowd
        # Ends the request where too many came from one address; else what counts them further.
        def keep_out_crowd
          throttle = Throttle.new(request.ip, Shared::Clock.now, known_device)
          halt 429, { "retry-after" => "60" }, answer_page(429) if throttle.door_full?
          throttle
        end
      end

      def self.registered(app)
        app.helpers Crowd
        doors(app)
        lost_password(app)
        invitations(app)
        beginning(app)
      end

      def self.beginning(app)
        app.allow(:anyone, get: "/begin") { page "doors/new_studio", Pages::NewStudio.new, layout: :plain }
        app.allow :anyone, post: "/begin", takes: Shapes::STUDIO do
          result = Actions::CreateStudio.new(params, keep_out_crowd).run
          unless result.ok?
            next page("doors/new_studio", Pages::NewStudio.new(params, result.errors), layout: :plain, status: 422)
          end

          sign_in(result.value.account, studio: result.value.studio)
          redirect "/"
        end
      end

      def self.doors(app)
        app.allow(:anyone, get: "/sign-in") { page "doors/sign_in", Pages::SignIn.new, layout: :plain }
        app.allow :anyone, post: "/sign-in", takes: { email: :text, password: :text } do
          result = Actions::SignIn.new(params["email"], params["password"], keep_out_crowd).run
          unless result.ok?
            next page(
              "doors/sign_in",
              Pages::SignIn.new(email: params["email"], error: result.errors[:base]),
              layout: :plain,
              status: result.value == :wait ? 429 : 422
            )
          end

          redirect sign_in(result.value) || "/"
        end
        app.allow :anyone, post: "/demo/enter", takes: { account: :text } do
          found = Reading::DemoAccounts.all.find { |account, _| account.id == number(params["account"]) } || halt(404)
          sign_in(found.first)
          redirect "/"
        end
        app.allow :account, post: "/sign-out" do
          place_here.delete
          session.clear
          redirect "/sign-in"
        end
        signed_in(app)
      end

      # Where somebody is signed in, ended one by one or all at once.
      def self.signed_in(app)
        app.allow(:account, get: "/signed-in") do
          page "doors/signed_in", Pages::SignedIn.new(account, place_here, Shared::Clock.now), layout: :plain
        end
        app.allow :account, post: "/signed-in/:id/end" do
          place = find(account.sign_ins)
          place.delete
          redirect(place == place_here ? "/sign-in" : "/signed-in")
        end
        app.allow :account, post: "/sign-out-everywhere" do
          account.sign_out_everywhere
          session.clear
          redirect "/sign-in"
        end
      end

      def self.lost_password(app)
        app.allow(:anyone, get: "/forgot") do
          page "doors/forgot", Shared::Plain.new(title: t("sign_in.forgot")), layout: :plain, sent: false
        end
        app.allow :anyone, post: "/forgot", takes: { email: :text } do
          Actions::ForgotPassword.new(params["email"], keep_out_crowd).run
          page "doors/forgot", Shared::Plain.new(title: t("sign_in.forgot")), layout: :plain, sent: true
        end
        app.allow(:anyone, get: "/reset/:token", secret: :token) do
          page "doors/reset", Pages::Reset.new(params["token"], Shared::Clock.now), layout: :plain
        end
        app.allow :anyone, post: "/reset/:token", secret: :token, takes: { password: :text } do
          keep_out_crowd
          result = Actions::ResetPassword.new(params["token"], params["password"], Shared::Clock.now).run
          next redirect(sign_in(result.value) || "/") if result.ok?

          page "doors/reset",
               Pages::Reset.new(params["token"], Shared::Clock.now, error: result.errors.values.first),
               layout: :plain,
               status: 422
        end
      end

      def self.invitations(app)
        app.allow :anyone, get: "/invitation/:token", secret: :token do
          page "doors/invitation", Pages::Invitation.new(params["token"], Shared::Clock.now), layout: :plain
        end
        app.allow :anyone, post: "/invitation/:token", secret: :token, takes: { name: :text, password: :text } do
          result =
            Actions::AcceptInvitation.new(params["token"], params["name"], params["password"], keep_out_crowd).run
          unless result.ok?
            next page(
              "doors/invitation",
              Pages::Invitation.new(params["token"], Shared::Clock.now, name: params["name"], errors: result.errors),
              layout: :plain,
              status: 422
            )
          end

          sign_in(result.value.account, studio: result.value.studio)
          redirect "/"
        end
      end
    end
  end
end
