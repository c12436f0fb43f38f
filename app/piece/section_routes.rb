# frozen_string_literal: true

module App
  module Piece
    # One section's own page: who teaches it, how, to whom, and its cautions.
    module SectionRoutes
      def self.registered(app)
        app.allow :member, get: "/pieces/:piece/sections/:id" do
          page "piece/section", piece_page(Pages::Section, section: find(piece.sections))
        end
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id", takes: Shapes::SECTION do
          section = find(piece.sections)
          permit Steps::Policy, section, :edit?
          result = Actions::SaveSection.new(section, params, member).run
          code = result.value == :conflict ? 409 : 422
          unless result.ok?
            next page(
              "piece/section",
              piece_page(Pages::Section, section: find(piece.sections), typed: params, result:),
              status: code
            )
          end

          say t("sections.saved", name: section.name)
          redirect "/pieces/#{piece.id}/sections/#{section.id}"
        end
        corrections(app)
        up_to(app)
      end

      def self.up_to(app)
        app.allow :member, post: "/pieces/:piece/sections/:id/up-to", takes: { group: :text, eights: :text } do
          permit Policy, piece, :tick?
          section = find(piece.sections)
          result = Actions::HaveUpTo.new(section, params, account, today).run
          say(result.ok? ? t("sections.up_to", name: section.name) : result.errors.values.first)
          redirect "/pieces/#{piece.id}/sections/#{section.id}"
        end
      end

      def self.corrections(app)
        app.allow :member, post: "/pieces/:piece/sections/:id/corrections", takes: Shapes::CORRECTION do
          permit Policy, piece, :tick?
          section = find(piece.sections)
          result = Steps::Actions::AddCorrection.new(section, params, account).run
          say result.errors[:text] unless result.ok?
          redirect "/pieces/#{piece.id}/steps?section=#{section.id}"
        end
        app.allow :member, post: "/pieces/:piece/corrections/:id/settle", takes: { to: :text } do
          permit Policy, piece, :tick?
          correction = find(piece.notes.standing.where(kind: Records::Note::WATCHED, about: "section"))
          correction.settle(wanted?, account.name, Shared::Clock.now)
          say t(wanted? ? "corrections.settled" : "corrections.back"),
              undo: ("/pieces/#{piece.id}/corrections/#{correction.id}/settle?to=no" if wanted?)
          redirect "/pieces/#{piece.id}/steps?section=#{correction.section_id}"
        end
      end
    end
  end
end
