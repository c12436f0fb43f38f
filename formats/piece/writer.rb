# frozen_string_literal: true

module Formats
  module Piece
    # Writes a Core::Piece::Work as a piece-1 object.
    class Writer
      def initialize(work) = @work = work

      def to_h
        {
          "format" => NAME,
          "title" => @work.title,
          "track" => track,
          "groups" => @work.groups.map { |id, name| { "id" => id.to_s, "name" => name } },
          "sections" => @work.sections.map { |section| section(section) },
          "links" => @work.links.map { |link| link(link) },
          **(@work.checking.steps ? {} : { "steps_not_written" => true })
        }
      end

      private

      def track
        track = @work.track
        {
          "tempo" => track.tempo.map { |count, bpm| { "from_count" => count, "bpm" => bpm } },
          "first_count_seconds" => track.first_count_seconds,
          "length_seconds" => track.length_seconds,
          "form" => track.form.map { |name, counts| { "name" => name, "counts" => counts } }
        }.compact
      end

      def section(section)
        {
          "id" => section.id.to_s,
          "name" => section.name,
          "choreographer" => section.choreographer&.to_s,
          "co_teachers" => (section.co_teachers.map(&:to_s) if section.co_teachers.any?),
          "known" => (true if section.known),
          "teachers_needed" => (section.teachers_needed unless section.teachers_needed == "all"),
          "time" => section.time,
          "expected_counts" => section.expected_counts,
          "rows" => section.rows.map { |row| row(row) },
          **taught(section),
          "hazards" => section.hazards,
          "entry" => edge(section.entry),
          "exit" => edge(section.exit),
          "feel" => (section.feel unless section.feel == "even"),
          "parts" => section.parts_said? ? [] : section.parts.map { |part| part(part) }
        }.compact
      end

      # How it is taught.
      def taught(section)
        {
          "difficulty" => section.difficulty,
          "method" => section.method,
          "minutes" => section.minutes,
          "fidelity" => (section.fidelity unless section.fidelity == "set"),
          "layers" => (section.layers unless section.layers == "together"),
          "being_made" => section.being_made || nil
        }
      end

      def part(part)
        stretches =
          part.stretches.map { |from, to, doing| { "from_count" => from, "to_count" => to, "doing" => doing.to_s } }
        {
          **part.to_h.except(:pauses).transform_keys(&:to_s),
          "group" => part.group.to_s,
          "mirrored" => part.mirrored || nil,
          "stretches" => (stretches unless stretches.empty?),
          "pauses" => (pauses(part) unless part.pauses.empty?)
        }.compact
      end

      def pauses(part) = part.pauses.map { |after, counts| { "after" => after, "counts" => counts } }

      def edge(stated)
        (stated.to_h { |name, value| [name.to_s, value.is_a?(Symbol) ? value.to_s : value] } unless stated.empty?)
      end

      def row(row) = row.to_h.except(:held).transform_keys(&:to_s).reject { |_, value| value == "" }

      def link(link)
        changes = link.changes
        { "section" => link.section.id.to_s, "id" => link.id&.to_s, "mirrored" => link.mirrored || nil,
          "called" => link.called,
          "replace" => changes.replace.to_h { |n, r| [n.to_s, row(r)] }, "drop" => changes.drop,
          "insert_after" => changes.insert_after.to_h { |n, rows| [n.to_s, rows.map { |r| row(r) }] } }
          .reject { |_, value| value.nil? || value == [] || value == {} || value == "" }
      end
    end
  end
end
