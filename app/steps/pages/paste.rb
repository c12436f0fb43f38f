# frozen_string_literal: true

module App
  module Steps
    module Pages
      # A count sheet on its way in: what each of its lines becomes, before anything is saved.
      class Paste < Reading::PiecePage
        # What a line becomes: its number, the eight's number, counts, the text, the moves understood on their counts,
        # what nobody knows of it.
        Became = Struct.new(:line, :number, :row, :moves, :unknown, :loose, keyword_init: true)

        attr_reader :section, :pasted, :error

        # section: Records::Section; pasted: PastedEights or nil.
        def initialize(section:, pasted: nil, error: nil, **rest)
          super(**rest)
          @section = section
          @pasted = pasted
          @error = error
        end

        def screen = :steps
        def title = "#{I18n.t('paste.title', name: section.name)} · #{piece.title}"
        def looked_at? = pasted && error.nil?
        def version = section.lock_version
        def text = pasted&.text
        def ways = PastedEights::WAYS.map { |way| [way, I18n.t("paste.ways.#{way}", count: section.eights.size)] }
        def way = pasted&.way || (section.eights.all? { |eight| eight.text.empty? } ? "instead" : "after")

        # [Became]
        def eights
          @eights ||= pasted.result.rows.zip(lines, numbers).map do |row, line, number|
            Became.new(
              line: row.line, number:, row:, moves: moves(line), unknown: line.kept, loose: line.loose.map(&:text)
            )
          end
        end

        # [sentence] about what is left out.
        def left_out
          pasted.result.left_out.map { |line, text, why| I18n.t("paste.left_out.#{why}", line:, text:) }
        end

        private

        def numbers
          first = way == "after" ? section.eights.size + 1 : 1
          (first...(first + pasted.result.rows.size)).to_a
        end

        def lines
          rows = pasted.result.rows.map do |row|
            Core::Piece::Row.new(counts: row.counts || 8, text: row.text, cue: row.cue, name: row.name)
          end
          core = work.sections.find { |each| each.id == section.id }.with(rows:)
          Core::Piece::Danced.new(with_section(core), vocabulary:).lines(core)
        end

        # The piece with what was pasted, read by itself: what is kept of the piece as it stands knows nothing of it.
        def with_section(core)
          work.with(sections: work.sections.map { |each| each.id == core.id ? core : each }, links: [])
        end

        # "1 step R · 2 close L"
        def moves(line)
          line.placed.sort_by(&:at).map { |move| "#{count(line, move.at)} #{move.text}" }.join(" · ")
        end

        def count(line, at)
          return (((at / 12) + line.called - 1) % [line.counts, 8].max) + 1 if (at % 12).zero?

          { 3 => "e", 6 => "&" }.fetch(at % 12, "a")
        end
      end
    end
  end
end
