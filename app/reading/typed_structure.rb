# frozen_string_literal: true

module App
  module Reading
    # The lines of a structure as somebody types them, read with what the studio and the piece know already.
    module TypedStructure
      # What keeps lines from being saved: they would drop steps that are written, or are more than a piece can have.
      BLOCKING = %i[too_many_lines no_such_eight odd_length written_eights].freeze

      module_function

      def read(studio, text, piece: nil, bpm: nil)
        work = piece && Records::Mapping::Works.load(piece)
        lengths = work ? work.sections.to_h { |section| [section.name, section.rows.map(&:counts)] } : {}
        teachers = studio.people.choreographers.pluck(:name)
        bpm ||= work.track.tempo.first.last if work
        structure = Core::Piece::StructureReader.new(text, teachers:, lengths:, bpm:).structure
        structure.findings.concat(written_eights(piece, structure)) if piece
        structure
      end

      # The lines of a piece as they are, with those that wait and the remarks where they stood.
      def text(piece, work, names)
        said = piece.sections.to_h { |section| [section.id, [section.said_length, section.said_teachers]] }
        lines = Core::Piece::StructureWriter.new(work, teachers: names, said:).text
        with_lines(lines, piece.setting("waiting_lines") + piece.setting("remark_lines"))
      end

      # A text with lines put back in where they stood: [{"line" => 3, "text" => "…"}, …].
      def with_lines(text, kept)
        kept.sort_by { |each| each["line"] }.reduce(text.lines.map(&:chomp)) do |lines, each|
          lines.dup.insert([each["line"] - 1, lines.size].min, each["text"])
        end.join("\n")
      end

      # {setting => [{"line", "text"}]} of what stands between the links: lines that wait for an answer, and remarks.
      # Each is kept with its place in the text as it will be written, a line a link.
      def between(structure)
        links = structure.links.map(&:line)
        kept = { "waiting_lines" => structure.waiting, "remark_lines" => structure.remarks }
        all = kept.flat_map { |setting, lines| lines.map { |number, text| [number, text, setting] } }.sort_by(&:first)
        placed = all.each_with_index.map do |(number, text, setting), i|
          [setting, { "line" => links.count { |line| line < number } + i + 1, "text" => text }]
        end
        kept.keys.to_h { |setting| [setting, placed.select { |name, _| name == setting }.map(&:last)] }
      end

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
            hint: last.position,
            ways: []
          )
        end
      end
    end
  end
end
