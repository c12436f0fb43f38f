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
        { versions:, dancers: dancers(piece) }
      end

      # {person id => {section id or nil => kind}}: what is given to a dancer, else to a group of theirs.
      def dancers(piece)
        given = piece.version_people.order(:id).to_a
        return {} if given.empty?

        members = piece.group_members.pluck(:group_id, :person_id).group_by(&:first)
        rows = given.flat_map do |row|
          people = row.person_id ? [row.person_id] : members.fetch(row.group_id, []).map(&:last)
          people.map { |person| [person, row] }
        end
        rows.group_by(&:first).transform_values { |own| kinds(own.map(&:last)) }
      end

      def kinds(rows) = rows.sort_by { |row| row.person_id ? 1 : 0 }.to_h { |row| [row.section_id, row.kind] }

      def version(row) = Core::Piece::Version.new(kind: row.kind, eights: row.eights.transform_keys(&:to_i))
      private_class_method :version, :kinds
    end
  end
end
