# frozen_string_literal: true

module App
  module Steps
    module Pages
      # A section as it is shown for editing: as taught, or one of its versions ("seated"), as saved or as just typed.
      class ShownVersion
        attr_reader :kind

        # kind: of the version, or nil; row: Records::Section; section: the core's; typed: what a form holds, or nil.
        def initialize(kind, row:, section:, typed:, vocabulary:)
          @kind = Records::Version::KINDS.find { |known| known == kind }
          @row = row
          @section = section
          @typed = typed
          @vocabulary = vocabulary
        end

        def lock = kind ? record&.lock_version.to_i : @row.lock_version
        def kinds = @kinds ||= @row.versions.order(:id).pluck(:kind)
        def other_kinds = Records::Version::KINDS - kinds - [kind]
        def save_tail = "/sections/#{@section.id}#{kind ? "/versions/#{kind}" : '/steps'}"

        # The section with what is typed in place of what is saved.
        def section = kind ? of_kind.of(@section) : as_typed

        # The text in an eight's field: of a version only what differs.
        def field(eight) = kind ? of_kind.eights[eight.number].to_s : eight.row.text

        # What a version's empty field stands for.
        def taught(eight) = kind ? @section.rows[eight.number - 1].text : ""

        # Groups of the piece with where they dance this version: [[group, nil, "section" or "piece"], …].
        def groups
          given = where(:group_id)
          @row.piece.groups.map { |group| [group, given[group.id]] }
        end

        # These people with where they dance this version: nil, "section" or "piece".
        def people(all)
          given = where(:person_id)
          all.map { |person| [person, given[person.id]] }.sort_by { |person, _| person.name }
        end

        private

        def as_typed
          @typed ? @section.with(rows: TypedEights.new(@typed, vocabulary: @vocabulary).rows.map(&:core)) : @section
        end

        # {id of whom => "section" or "piece"}.
        def where(whom)
          rows = @row.piece.version_people.where(kind:, section_id: [nil, @section.id]).where.not(whom => nil)
          rows.to_h { |row| [row[whom], row.section_id ? "section" : "piece"] }
        end

        def record = @record ||= @row.versions.find_by(kind:)

        def of_kind
          @of_kind ||= Core::Piece::Version.new(kind:, eights: (said || {}).transform_keys(&:to_i))
        end

        def said
          return record&.eights unless @typed

          (@typed["rows"] || {}).transform_values { |row| row["text"].to_s.scrub("?").strip }
        end
      end
    end
  end
end
