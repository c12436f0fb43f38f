# frozen_string_literal: true

module App
  module Piece
    # Who is in the piece, and in which groups.
    module GroupRoutes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/groups") { page "piece/groups", piece_page(Pages::Groups) }
        app.allow :director, post: "/pieces/:piece/groups", takes: { name: :text } do
          permit Policy, piece, :direct?
          result = Actions::SaveGroups.new(piece, params).add
          next page("piece/groups", piece_page(Pages::Groups, errors: result.errors), status: 422) unless result.ok?

          redirect "/pieces/#{piece.id}/groups"
        end
        app.allow :director, post: "/pieces/:piece/groups/roster" do
          permit Policy, piece, :direct?
          say t("groups.from_roster", count: Actions::TakeRosterGroups.new(piece).run)
          redirect "/pieces/#{piece.id}/groups"
        end
        app.allow :director, post: "/pieces/:piece/cast", takes: { groups: :texts, cast: :choices, was: :text } do
          permit Policy, piece, :direct?
          result = Actions::SaveGroups.new(piece, params).cast
          next page("piece/groups", piece_page(Pages::Groups, table: result.value), status: 409) unless result.ok?

          say t("groups.saved")
          redirect "/pieces/#{piece.id}/groups"
        end
        app.allow :director, post: "/pieces/:piece/groups/:id", takes: { name: :text, leader: :text, was: :text } do
          permit Policy, piece, :direct?
          group = find(piece.groups)
          result = Actions::SaveGroups.new(piece, params).change(group)
          unless result.ok?
            shown = piece_page(Pages::Groups, errors: result.errors, forms: { group.id => result.value })
            next page("piece/groups", shown, status: result.value.conflicts.any? ? 409 : 422)
          end

          redirect "/pieces/#{piece.id}/groups"
        end
      end
    end
  end
end
