# frozen_string_literal: true

module App
  module Web
    module Helpers
      # Requests of other programs: who asks, by the token they carry, and answers a page at a time.
      module Programs
        PER = 100
        MOST = 500

        # Records::ProgramToken of the request, or nil.
        def program
          return @program if defined?(@program)

          given = env["HTTP_AUTHORIZATION"].to_s[/\ABearer\s+(\S+)\z/i, 1]
          @program = given && Records::ProgramToken.live.by_token(given)
        end

        # Lets a program in that carries a token that lives, or ends the request.
        def admit_program
          beside
          unless program
            halt 401, { "content-type" => "application/json", "www-authenticate" => "Bearer" },
                 { error: t("programs.no_token") }.to_json
          end
          program.used(program.studio.today(Shared::Clock.now))
        end

        def program_piece = find(program.studio.pieces.running, params["piece"])

        # rows: [Hash]; a page of them, with where the others are.
        def answer_rows(rows)
          per = clamped("per", PER, MOST)
          pages = [(rows.size / per.to_f).ceil, 1].max
          page = clamped("page", 1, pages)
          headers "link" => links(page, pages, per)
          answer_json({ page:, pages:, total: rows.size, items: rows[(page - 1) * per, per] || [] })
        end

        # The same again is answered with nothing but that it is the same.
        def answer_json(data)
          text = data.is_a?(String) ? data : JSON.generate(data)
          content_type :json
          headers "cache-control" => "private, no-cache"
          etag Digest::SHA256.hexdigest(text)[0, 32]
          text
        end

        private

        def clamped(name, otherwise, most)
          text = params[name].to_s
          text.match?(/\A\d{1,6}\z/) ? text.to_i.clamp(1, most) : otherwise
        end

        def links(page, pages, per)
          here = "#{Settings.app_url}#{request.path_info}"
          { "next" => page + 1, "prev" => page - 1 }.select { |_, number| number.between?(1, pages) }
            .map { |name, number| %(<#{here}?page=#{number}&per=#{per}>; rel="#{name}") }
            .join(", ")
        end
      end
    end
  end
end
