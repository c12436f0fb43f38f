# frozen_string_literal: true

module App
  module Steps
    # What happens on every count: a section's eights as typed, and the body they imply.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/steps", takes: { section: :text, version: :text }) do
          page "steps/show", piece_page(Pages::Show, section: params["section"], version: params["version"])
        end
        app.allow :member, get: "/pieces/:piece/steps.pdf", takes: { section: :text, version: :text, paper: :text } do
          shown = piece_page(Pages::CountSheetPaper, section: params["section"], version: params["version"])
          halt 404 unless shown.section
          send_paper(shown.paper, piece.title, shown.section.name)
        end
        differences(app)
        versions(app)
        saving(app)
      end

      def self.saving(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/steps/preview", takes: Shapes::PREVIEW do
          beside
          headers "x-sequence" => params["sequence"].to_s[0, 12]
          erb :"steps/_preview",
              layout: false,
              locals: {
                page: piece_page(Pages::Show, section: params["section"], version: params["version"], typed: params)
              }
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id/steps", takes: Shapes::ROWS do
          section = find(piece.sections)
          permit Policy, section, :edit?
          result = Actions::Save.new(section, params, account, today).run
          code = result.value == :conflict ? 409 : 422
          unless result.ok?
            shown = piece_page(Pages::Show, section: section.id.to_s, typed: params, result:)
            next page("steps/show", shown, status: code)
          end

          say result.value, saved: request.path_info
          redirect "/pieces/#{piece.id}/steps?section=#{section.id}"
        end
      end

      # A version of a section: what is danced instead, eight by eight, and by whom.
      def self.versions(app)
        app.allow :director, :choreographer,
                  post: "/pieces/:piece/sections/:id/versions/:kind", takes: Shapes::VERSION do
          section = find(piece.sections)
          permit Policy, section, :edit?
          kind = Records::Version::KINDS.find { |each| each == params["kind"] } || halt(404)
          result = Actions::SaveVersion.new(section, kind, params, member).run
          shown = { section: section.id.to_s, version: kind }
          unless result.ok?
            next page(
              "steps/show",
              piece_page(Pages::Show, **shown, typed: params, result:),
              status: result.value == :conflict ? 409 : 422
            )
          end

          say result.value, saved: request.path_info
          redirect "/pieces/#{piece.id}/steps?#{Rack::Utils.build_query(shown)}"
        end
      end

      # A repeat that is danced with changes, written as its difference from the section.
      def self.differences(app)
        app.allow :member, get: "/pieces/:piece/links/:id/changes" do
          page "steps/difference", piece_page(Pages::Difference, link: find(piece.links))
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/links/:id/changes", takes: Shapes::ROWS do
          link = find(piece.links)
          permit Policy, link.section, :edit?
          result = Actions::SaveDifference.new(link, params, account, today).run
          unless result.ok?
            next page(
              "steps/difference",
              piece_page(Pages::Difference, link: find(piece.links), typed: params, result:),
              status: 422
            )
          end

          say result.value
          redirect "/pieces/#{piece.id}/links/#{link.id}/changes"
        end
      end
    end
  end
end
