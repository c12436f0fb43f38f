# frozen_string_literal: true

module App
  module Shared
    # A list of dancers said as people say it: "everyone", "Scouts, Nurses", or by name.
    class CallNames
      # posted: whether they stand where everybody passes, with first names and initials.
      def initialize(piece, posted: false)
        @piece = piece
        @posted = posted
      end

      def of(ids)
        return "" if ids.empty?

        cast = @cast ||= Records::Mapping::Works.cast(@piece)
        return I18n.t("calls.everyone", count: ids.size) if (cast.keys - ids).empty?

        whole = @piece.groups.select { |group| members(cast, group).any? && (members(cast, group) - ids).empty? }
        rest = ids - whole.flat_map { |group| members(cast, group) }
        [*whole.map(&:name), *names(rest)].join(", ")
      end

      # The same kept short: whole groups, and how many more.
      def short(ids, most = 3)
        said = of(ids).split(", ")
        said.size > most + 1 ? Lists.of(groups_first(said), most) : Lists.all(said)
      end

      private

      def names(ids)
        people = @piece.studio.people.where(id: ids).order(:name).to_a
        @posted ? people.map { |person| posted_names.of(person) } : people.map(&:name)
      end

      def posted_names
        @posted_names ||= PostedNames.new(@piece.studio.people.where(id: (@cast || {}).keys).to_a)
      end

      def groups_first(said) = said.sort_by { |name| @piece.groups.any? { |group| group.name == name } ? 0 : 1 }

      def members(cast, group) = cast.select { |_, groups| groups.include?(group.id) }.keys
    end
  end
end
