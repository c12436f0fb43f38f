# frozen_string_literal: true

module App
  module Routes
    # One section's own page: who teaches it, how, to whom, and its cautions.
    module Sections
      def self.registered(app)
        app.allow :member, get: "/pieces/:piece/sections/:id" do
          page :section, piece_page(Pages::SectionForm, section: find(piece.sections))
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id" do
          section = find(piece.sections)
          permit Policies::Section, section, :edit?
          result = Actions::SaveSection.new(section, params, member).run
          code = result.value == :conflict ? 409 : 422
          next page(:section, piece_page(Pages::SectionForm, section: find(piece.sections), typed: params, result:), status: code) unless result.ok?

          say t("sections.saved", name: section.name)
          redirect "/pieces/#{piece.id}/sections/#{section.id}"
        end
      end
    end
  end
end
