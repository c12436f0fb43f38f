# frozen_string_literal: true

module App
  module Programs
    # What other programs read: JSON, a page at a time, by a token that can be taken back. They change nothing.
    module Routes
      PAGING = { page: :text, per: :text }.freeze
      DESCRIPTION = File.join(Settings::ROOT, "docs", "formats", "openapi.json")

      def self.registered(app)
        app.allow :anyone, get: "/api/1/openapi.json" do
          beside
          content_type :json
          send_file DESCRIPTION, type: :json, disposition: :inline
        end
        Answers::OF_STUDIO.each do |name, answer|
          app.allow :program, get: "/api/1/#{name}", takes: PAGING do
            answer_rows(answer.new(program.studio, program.studio.local(Shared::Clock.now)).rows)
          end
        end
        app.allow :program, get: "/api/1/pieces/:piece" do
          answer_json(Formats::PieceFile.render(Reading::PieceContent.new(program_piece).content))
        end
        Answers::OF_PIECE.each do |name, answer|
          app.allow :program, get: "/api/1/pieces/:piece/#{name}", takes: PAGING do
            answer_rows(answer.new(program_piece, program.studio.local(Shared::Clock.now)).rows)
          end
        end
        tokens(app)
      end

      # Tokens, given and taken back by directors.
      def self.tokens(app)
        app.allow :director, get: "/settings/programs" do
          page "programs/index", Pages::Index.new(member, shown: session.delete("shown_program"))
        end
        app.allow :director, post: "/settings/programs", takes: { name: :text } do
          result = Actions::GiveToken.new(studio, account, params["name"]).run
          next page("programs/index", Pages::Index.new(member, errors: result.errors), status: 422) unless result.ok?

          session["shown_program"] = result.value
          redirect "/settings/programs"
        end
        app.allow :director, post: "/settings/programs/:id/revoke" do
          find(studio.program_tokens.live).update!(revoked_at: Shared::Clock.now)
          say t("programs.revoked")
          redirect "/settings/programs"
        end
      end
    end
  end
end
