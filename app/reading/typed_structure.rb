# frozen_string_literal: true

module App
  module Reading
    # The lines of a structure as somebody types them, read with what the studio and the piece know already.
    module TypedStructure
      # What keeps lines from being saved: they do not say which sections and links there are, or would drop steps.
      BLOCKING = %i[
        long_teacher
        too_many_lines
        other_length
        no_such_eight
        odd_length
        written_eights
      ].freeze

      module_function

      def read(studio, text, piece: nil)
        lengths = piece ? Records::Mapping::Works.load(piece).sections.to_h { |s| [s.name, s.rows.map(&:counts)] } : {}
        teachers = studio.people.choreographers.pluck(:name)
        structure = Core::Piece::StructureReader.new(text, teachers:, lengths:).structure
        structure.findings.concat(written_eights(piece, structure)) if piece
        structure
      end

      # A text with lines put back in where they stood: [{"line" => 3, "text" => "…"}, …].
      def with_waiting(text, waiting)
        waiting.sort_by { |each| each["line"] }.reduce(text.lines.map(&:chomp)) do |lines, each|
          lines.dup.insert([each["line"] - 1, lines.size].min, each["text"])
        end.join("\n")
      end

      # What of a structure waits for an answer, as it is kept.
      def waiting(structure) = structure.waiting.map { |line, text| { "line" => line, "text" => text } }

      def blocking(structure) = structure.findings.select { |finding| blocking?(finding) }
      def blocking?(finding) = BLOCKING.include?(finding.kind)

      # Sections that would become shorter than what is written on them.
      def written_eights(piece, structure)
        by_name = piece.sections.includes(:eights).index_by { |section| section.name.downcase }
        structure.sections.filter_map do |sketch|
          last = by_name[sketch.name.downcase]&.eights&.reject { |eight| eight.text == "" }&.last
          next unless last && last.position > sketch.rows.size

          Core::Piece::StructureReader::Finding.new(
            line: sketch.line,
            kind: :written_eights,
            subject: sketch.name,
            hint: last.position
          )
        end
      end
    end
  end
end
