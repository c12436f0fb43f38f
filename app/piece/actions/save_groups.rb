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

            save(@piece.groups.new(studio: @studio, number:))
          end
        end

        def change(group)
          @piece.alone(:groups) do
            group.leader = group.people.find_by(id: @params["leader"].to_s[/\A\d+\z/])
            save(group)
          end
        end

        # cast: {"person id" => ["", "in", group ids …]}, groups: those the table showed. Whoever and whatever came in
        # while the table stood open is left alone.
        def cast
          Records::Piece.transaction do
            wanted =
              (@params["cast"].is_a?(Hash) ? @params["cast"] : {}).to_h do |person, values|
                [person.to_i, Array(values).reject(&:empty?)]
              end
            @studio.people.dancers.where(id: wanted.keys).find_each { |person| set(person, wanted.fetch(person.id)) }
            @piece.groups.each do |group|
              unless group.leader_id.nil? || group.group_members.exists?(person_id: group.leader_id)
                group.update!(leader: nil)
              end
            end
            @piece.touch
          end
        end

        private

        def save(group)
          group.name = @params["name"]
          if @piece.groups.where.not(id: group.id).where("lower(name) = ?", group.name.to_s.downcase).exists?
            return Shared::Result.no({ name: I18n.t("groups.same_name") })
          end

          group.save && @piece.touch ? Shared::Result.ok(group) : Shared::Result.no({ name: I18n.t("groups.name") })
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
