# frozen_string_literal: true

module App
  module Routes
    # What happens on every count: a section's eights as typed, and the body they imply.
    module Steps
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/steps") { page :steps, piece_page(Pages::Steps, section: params["section"], version: params["version"]) }
        differences(app)
        versions(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/steps/preview" do
          headers "x-sequence" => params["sequence"].to_s[0, 12]
          erb :"parts/steps_preview", layout: false, locals: { page: piece_page(Pages::Steps, section: params["section"], version: params["version"], typed: params) }
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id/steps" do
          section = find(piece.sections)
          permit Policies::Section, section, :edit?
          result = Actions::SaveSteps.new(section, params, account, today).run
          code = result.value == :conflict ? 409 : 422
          next page(:steps, piece_page(Pages::Steps, section: section.id.to_s, typed: params, result:), status: code) unless result.ok?

          say result.value
          redirect "/pieces/#{piece.id}/steps?section=#{section.id}"
        end
      end

      # A version of a section: what is danced instead, eight by eight, and by whom.
      def self.versions(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id/versions/:kind" do
          section = find(piece.sections)
          permit Policies::Section, section, :edit?
          kind = Records::Version::KINDS.find { |each| each == params["kind"] } || halt(404)
          result = Actions::SaveVersion.new(section, kind, params, account).run
          shown = { section: section.id.to_s, version: kind }
          next page(:steps, piece_page(Pages::Steps, **shown, typed: params, result:), status: result.value == :conflict ? 409 : 422) unless result.ok?

          say result.value
          redirect "/pieces/#{piece.id}/steps?#{Rack::Utils.build_query(shown)}"
        end
      end

      # A repeat that is danced with changes, written as its difference from the section.
      def self.differences(app)
        app.allow :member, get: "/pieces/:piece/links/:id/changes" do
          page :changes, piece_page(Pages::Changes, link: find(piece.links))
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/links/:id/changes" do
          link = find(piece.links)
          permit Policies::Section, link.section, :edit?
          result = Actions::SaveChanges.new(link, params, account, today).run
          next page(:changes, piece_page(Pages::Changes, link: find(piece.links), typed: params, result:), status: 422) unless result.ok?

          say result.value
          redirect "/pieces/#{piece.id}/links/#{link.id}/changes"
        end
      end
    end
  end
end
