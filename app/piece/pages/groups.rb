# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The cast and its groups as one table.
      class Groups < Reading::PiecePage
        attr_reader :errors

        # table: the cast as it was sent; forms: {group id => its form as it was sent}; only where something is wrong.
        def initialize(errors: {}, table: nil, forms: {}, **rest)
          super(**rest)
          @errors = errors
          @table = table
          @forms = forms
        end

        def table = @table ||= CastForm.of(piece)
        def form(group) = @forms[group.id] ||= GroupForm.of(group)
        def conflicts = CastForm.conflicts(table, piece)
        def group_conflicts(group) = GroupForm.conflicts(form(group), group)
        def row(person) = table.value(person.id.to_s).split(",")
        def in?(person, group) = row(person).include?(group.id.to_s)
        def cast?(person) = row(person).include?("in")

        def screen = :share_out
        def groups = @groups ||= piece.groups.includes(:leader, :people).to_a

        # "Gulls (12), Terns (9)": who came with a roster before the piece, and is not in it yet.
        def waiting_groups
          open = Reading::RosterGroups.waiting(piece.studio).filter_map do |name, people|
            left = people.reject { |person| cast.key?(person.id) }
            "#{name} (#{left.size})" if left.any?
          end
          open.join(", ")
        end

        def dancers = @dancers ||= piece.studio.people.dancers.to_a
        def cast = snapshot.cast
        def size(group) = cast.count { |_, groups| groups.include?(group.id) }
      end
    end
  end
end
