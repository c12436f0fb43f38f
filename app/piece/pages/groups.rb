# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The cast and its groups as one table.
      class Groups < Shared::PiecePage
        attr_reader :errors

        def initialize(errors: {}, **rest)
          super(**rest)
          @errors = errors
        end

        def screen = :share_out
        def groups = @groups ||= piece.groups.includes(:leader, :people).to_a
        def dancers = @dancers ||= piece.studio.people.dancers.to_a
        def cast = snapshot.cast
        def in?(person, group) = cast.fetch(person.id, []).include?(group.id)
        def cast?(person) = cast.key?(person.id)
        def size(group) = cast.count { |_, groups| groups.include?(group.id) }
      end
    end
  end
end
