# frozen_string_literal: true

module App
  module Reading
    # The versions of a piece's sections, and who dances which.
    module VersionLines
      module_function

      # {versions: {section id => {kind => Core::Piece::Version}}, dancers: {person id => {section id or nil => kind}}}
      def of(piece)
        rows = Records::Version.where(studio_id: piece.studio_id, section_id: piece.sections.map(&:id))
        versions = rows.group_by(&:section_id).transform_values do |own|
          own.to_h { |row| [row.kind, version(row)] }
        end
        dancers = piece.version_people.group_by(&:person_id)
        { versions:, dancers: dancers.transform_values { |own| own.to_h { |row| [row.section_id, row.kind] } } }
      end

      def version(row) = Core::Piece::Version.new(kind: row.kind, eights: row.eights.transform_keys(&:to_i))
      private_class_method :version
    end
  end
end
