# frozen_string_literal: true

module Records
  module Mapping
    # Who of a piece comes on wheels: whoever is said to, and whoever dances it seated, where its seated lines speak of
    # wheels.
    module Wheels
      SPOKEN = <<~SQL.squish
        EXISTS (SELECT 1 FROM jsonb_each_text(eights) AS line WHERE line.value ~* '(wheel|chair turn|chair spin)')
      SQL
      private_constant :SPOKEN

      # Ids of people.
      def self.of(piece)
        said = Person.where(studio_id: piece.studio_id, wheels: true).select(:id)
        piece.castings.where(person_id: said).pluck(:person_id) | seated(piece)
      end

      def self.seated(piece)
        seated = Version.where(studio_id: piece.studio_id, section_id: piece.sections.map(&:id), kind: "seated")
        return [] unless seated.where(SPOKEN).exists?

        given = piece.version_people.where(kind: "seated").pluck(:person_id, :group_id)
        members = piece.group_members.where(group_id: given.filter_map(&:last)).pluck(:person_id)
        given.filter_map(&:first) | members
      end
      private_class_method :seated
    end
  end
end
