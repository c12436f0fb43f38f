# frozen_string_literal: true

module App
  module Actions
    # A piece's groups and who dances in which.
    class SaveGroups
      def initialize(piece, params)
        @piece = piece
        @studio = piece.studio
        @params = params
      end

      def add
        number = (@piece.groups.maximum(:number) || 0) + 1
        save(@piece.groups.new(studio: @studio, number:))
      end

      def change(group)
        group.leader = group.people.find_by(id: @params["leader"].to_s[/\A\d+\z/])
        save(group)
      end

      # cells: {"person id" => ["in", group ids …]}: the whole table at once.
      def cast
        Records::Piece.transaction do
          wanted = (@params["cast"] || {}).to_h { |person, values| [person.to_i, Array(values)] }
          @studio.people.dancers.each { |person| set(person, wanted.fetch(person.id, [])) }
          @piece.groups.each { |group| group.update!(leader: nil) unless group.leader_id.nil? || group.group_members.exists?(person_id: group.leader_id) }
          @piece.touch
        end
      end

      private

      def save(group)
        group.name = @params["name"]
        return Result.no({ name: I18n.t("groups.same_name") }) if @piece.groups.where.not(id: group.id).where("lower(name) = ?", group.name.to_s.downcase).exists?

        group.save && @piece.touch ? Result.ok(group) : Result.no({ name: I18n.t("groups.name") })
      end

      def set(person, values)
        groups = @piece.groups.select { |group| values.include?(group.id.to_s) }
        inside = values.any?
        inside ? Records::Casting.find_or_create_by!(studio: @studio, piece: @piece, person:) : @piece.castings.where(person:).delete_all
        Records::GroupMember.where(studio: @studio, person:, group_id: @piece.groups.map(&:id) - groups.map(&:id)).delete_all
        groups.each { |group| Records::GroupMember.find_or_create_by!(studio: @studio, group:, person:) }
      end
    end
  end
end
