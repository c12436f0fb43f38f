# frozen_string_literal: true

module App
  module Web
    module Helpers
      # Who is asking: account, studio and role, from the session.
      module Identity
        def session = request.session

        def account = place_here&.account

        # The row of this sign-in; the cookie alone opens nothing.
        def place_here
          return @place_here if defined?(@place_here)

          now = Shared::Clock.now
          place = asker&.place
          @place_here = (place.seen(now) if place&.live?(now))
        end

        # The account's place in the studio it was in last, or its first: remembered, so that it is found from then on.
        def member
          found = place_here && asker.member
          session["studio"] = found.studio_id if found && session["studio"] != found.studio_id
          found
        end

        def studio = member&.studio

        # Who asks, and about which piece, as the database has it.
        def asker
          return @asker if defined?(@asker)

          token = session["sign_in"]
          @asker = token && Records::Asker.find(token, session["studio"], number(params["piece"]))
        end

        def bearer
          @bearer ||= Records::PersonLink.live.by_token(params["token"])
        end

        def today = studio.today(Shared::Clock.now)
        def local_now = studio.local(Shared::Clock.now)

        # Lets the request in, or ends it: to the sign-in page, or with 403 or 404.
        def admit(roles)
          return if roles.include?(:anyone)
          return (bearer or halt(404)) if roles.include?(:bearer)
          return admit_program if roles.include?(:program)
          return ask_to_sign_in unless account
          return if roles.include?(:account)
          return out_of_the_studio unless member
          return if roles.include?(:member) || roles.include?(member.role.to_sym)

          halt 403, answer_page(403)
        end

        # Signed in, and of no studio any more: a script is told as one that is signed out is.
        def out_of_the_studio = wants_json? ? ask_to_sign_in : redirect("/studios")

        def ask_to_sign_in
          halt 401, { "content-type" => "application/json" }, { signed_out: true }.to_json if wants_json?
          session["back"] = request.fullpath if request.get? && request.fullpath.length < 500
          redirect "/sign-in"
        end

        # A fresh session, so that one planted before signing in is worth nothing.
        def sign_in(account, studio: nil)
          back = session["back"]
          place_here&.delete
          session.clear
          session.options[:renew] = true
          remember_device(account.email)
          _, token = Records::SignIn.begin(account, device: device, now: Shared::Clock.now)
          session["sign_in"] = token
          session["studio"] = studio&.id
          @asker = Records::Asker.find(token, studio&.id, nil)
          @place_here = @asker.place
          back
        end

        # Whether somebody came in here before, by which doors (Doors::KnownDevice).
        def known_device = @known_device ||= Doors::KnownDevice.new(request.cookies[Doors::KnownDevice::COOKIE])

        # door: an account's address, or what a dancer's sheet is known by.
        def remember_device(door)
          response.set_cookie(
            Doors::KnownDevice::COOKIE, value: known_device.with(door), path: "/", httponly: true, same_site: :lax,
                                        secure: Settings.production?, max_age: Doors::KnownDevice::DAYS * 86_400
          )
        end

        # What somebody sits at, as far as their browser says: enough to know it again in a list.
        def device
          agent = request.user_agent.to_s
          return "phone" if agent.match?(/Mobi/i)

          agent.match?(/tablet|pad/i) ? "tablet" : "computer"
        end

        def wants_json?
          request.media_type == "application/json" ||
            (request.accept?("application/json") && !request.accept?("text/html"))
        end
      end
    end
  end
end
