# frozen_string_literal: true

module Records
  module Mapping
    # A piece's rows <-> Core::Piece::Work.
    class Works
      # Records::Piece => Core::Piece::Work, in one query a table.
      def self.load(piece) = new(piece).work

      # Who dances in which groups: {person id => [group ids]}, everybody cast included who is not archived.
      def self.cast(piece)
        here = Person.where(studio_id: piece.studio_id).present.select(:id)
        cast = piece.castings.where(person_id: here).pluck(:person_id).to_h { |id| [id, []] }
        GroupMember.where(studio_id: piece.studio_id, group_id: piece.groups.map(&:id))
          .pluck(:person_id, :group_id)
          .each { |person, group| cast[person] << group if cast.key?(person) }
        cast
      end

      # What to take care of in a piece, ticked or read from its steps: [text].
      def self.hazards(piece) = Core::Piece::Danced.new(load(piece), vocabulary: piece.studio.vocabulary).all_hazards

      def self.changes(made)
        Core::Piece::Changes.new(
          replace: (made["replace"] || {}).to_h { |n, row| [n.to_i, row(row)] },
          drop: (made["drop"] || []).map(&:to_i),
          insert_after: (made["insert_after"] || {}).to_h { |n, rows| [n.to_i, rows.map { |row| row(row) }] }
        )
      end

      def self.row(data)
        Core::Piece::Row.new(
          counts: data["counts"].to_i,
          text: data["text"].to_s,
          cue: data["cue"].to_s,
          name: data["name"].to_s
        )
      end

      # Core changes => what the column keeps.
      def self.made(changes)
        {
          "replace" => changes.replace.to_h { |n, row| [n.to_s, plain(row)] },
          "drop" => changes.drop,
          "insert_after" => changes.insert_after.to_h { |n, rows| [n.to_s, rows.map { |row| plain(row) }] }
        }.reject do |_, value|
          value.empty?
        end
      end

      def self.plain(row) = row.to_h.except(:held).transform_keys(&:to_s)

      def initialize(piece) = @piece = piece

      def work
        @cast_groups = @piece.groups.map { |group| [group.id, group.name] }
        sections = @piece.sections.to_a
        built = sections.to_h { |section| [section.id, section(section)] }
        links = @piece.links.map { |link| link(link, built) }
        Core::Piece::Work.new(
          title: @piece.title, track: track, groups: @cast_groups, sections: built.values, links:, checking:,
          count_in: @piece.setting("count_in")
        )
      end

      private

      def checking
        states = Core::Piece::Checking::CHOICES.select { |each| @piece.setting("checked_for").include?(each.to_s) }
        Core::Piece::Checking.new(states:, steady: @piece.setting("steady_words"),
                                  steps: @piece.setting("steps_written"))
      end

      def track
        track = @piece.track or return Core::Music::Track.new
        Core::Music::Track.new(tempo: track.tempo, first_count_seconds: track.first_count_seconds.to_f,
                               length_seconds: track.length_seconds&.to_f, form: track.form)
      end

      def section(section)
        Core::Piece::Section.new(
          id: section.id,
          name: section.name,
          choreographer: section.choreographer_id,
          co_teachers: co_teachers.fetch(section.id, []) - [section.choreographer_id],
          teachers_needed: section.teachers_needed,
          time: section.time,
          rows: eights.fetch(section.id, []),
          parts: parts.fetch(section.id, []),
          cast_groups: @cast_groups,
          hazards: section.hazards,
          difficulty: section.difficulty.to_f,
          method: section.method_preset,
          minutes: section.minutes,
          expected_counts: section.expected_counts,
          feel: section.feel,
          fidelity: section.fidelity,
          layers: section.layer_school,
          being_made: section.being_made,
          known: section.known,
          run_without: section.run_without,
          entry: edge(section.stated_entry),
          exit: edge(section.stated_exit)
        )
      end

      # {section id => [person id]} of those who teach with its owner.
      def co_teachers
        @co_teachers ||=
          SectionTeacher.where(studio_id: @piece.studio_id, section_id: @piece.sections.map(&:id))
            .order(:id).pluck(:section_id, :person_id)
            .group_by(&:first).transform_values { |rows| rows.map(&:last) }
      end

      # {"weight" => "left", "facing" => 5} => the core's edge.
      def edge(stated) = stated.to_h { |name, value| [name.to_sym, value.is_a?(String) ? value.to_sym : value] }

      def link(link, sections)
        Core::Piece::Link.new(
          section: sections.fetch(link.section_id),
          id: link.id,
          mirrored: link.mirrored,
          changes: Works.changes(link.changes_made),
          called: link.called
        )
      end

      def eights
        @eights ||=
          Eight.where(studio_id: @piece.studio_id, section_id: @piece.sections.map(&:id))
            .order(:section_id, :position)
            .pluck(:section_id, :counts, :text, :cue, :name)
            .group_by(&:first)
            .transform_values do |rows|
              rows.map { |_, counts, text, cue, name| Core::Piece::Row.new(counts:, text:, cue:, name:) }
            end
      end

      def parts
        @parts ||=
          Part.where(studio_id: @piece.studio_id, section_id: @piece.sections.map(&:id))
            .order(:id)
            .group_by(&:section_id)
            .transform_values { |rows| rows.map { |row| part(row) } }
      end

      def part(row)
        Core::Piece::Part.new(
          group: row.group_id,
          offset: row.start_offset,
          hold_before: row.hold_before,
          hold_after: row.hold_after,
          mirrored: row.mirrored,
          pauses: row.pauses,
          level: row.level,
          place: row.place,
          facing: row.facing,
          stretches: row.stretches.map { |from, to, doing| [from, to, doing.to_sym] }
        )
      end
    end
  end
end
