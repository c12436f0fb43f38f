# frozen_string_literal: true

module App
  module Piece
    module Actions
      # A piece's groups and who dances in which.
      class SaveGroups
        def initialize(piece, params)
          @piece = piece
          @studio = piece.studio
          @params = params
        end

        # One at a time in a piece: two people naming a group alike are told, not shown an error.
        def add
          @piece.alone(:groups) do
            number = (@piece.groups.maximum(:number) || 0) + 1
            if number > Records::Group::MOST
              next Shared::Result.no({ name: I18n.t("groups.too_many", most: Records::Group::MOST) })
            end

            save(Records::Group.new(piece: @piece, studio: @studio, number:), @params["name"])
          end
        end

        def change(group)
          @piece.alone(:groups) do
            group.lock!
            form = GroupForm.of(group, @params)
            next Shared::Result.no({ base: I18n.t("forms.both") }, form) if form.conflicts.any?

            given = form.merged
            group.leader = group.people.find_by(id: given["leader"][/\A\d+\z/])
            save(group, given["name"], form)
          end
        end

        # cast: {"person id" => ["", "in", group ids …]}, groups: those the table showed. A row that was not touched
        # stays as it stands; whoever and whatever came in while the table stood open is left alone.
        # Value, where two people changed one row: the table as it was sent.
        def cast
          @piece.alone(:groups) do
            form = CastForm.of(@piece, @params)
            next Shared::Result.no({ base: I18n.t("forms.both") }, form) if form.conflicts.any?

            changed = form.merged.reject { |person, row| form.now[person] == row }
            @studio.people.dancers.where(id: changed.keys).find_each do |person|
              set(person, changed.fetch(person.id.to_s).split(","))
            end
            drop_leaders
            @piece.touch
            Shared::Result.ok
          end
        end

        private

        # Whoever leaves a group does not lead it.
        def drop_leaders
          @piece.groups.where.not(leader_id: nil).each do |group|
            group.update!(leader: nil) unless group.group_members.exists?(person_id: group.leader_id)
          end
        end

        def save(group, name, form = nil)
          group.name = name
          if @piece.groups.where.not(id: group.id).where("lower(name) = ?", group.name.to_s.downcase).exists?
            return Shared::Result.no({ name: I18n.t("groups.same_name") }, form)
          end

          return Shared::Result.no({ name: I18n.t("groups.name") }, form) unless group.save

          @piece.touch
          Shared::Result.ok(group)
        end

        def shown
          @shown ||=
            Array(@params["groups"]).map(&:to_s)
              .then { |ids| @piece.groups.select { |group| ids.include?(group.id.to_s) } }
        end

        def set(person, values)
          groups = shown.select { |group| values.include?(group.id.to_s) }
          Records::GroupMember.where(studio: @studio, person:, group: shown - groups).delete_all
          groups.each { |group| Records::GroupMember.find_or_create_by!(studio: @studio, group:, person:) }
          elsewhere = Records::GroupMember.exists?(person:, group: @piece.groups.to_a)
          if values.any? || elsewhere
            Records::Casting.find_or_create_by!(studio: @studio, piece: @piece, person:)
          else
            @piece.castings.where(person:).delete_all
          end
        end
      end
    end
  end
end
