# frozen_string_literal: true

module App
  module Steps
    module Pages
      # The count sheet of a section: every eight with its counts, the body under them, its cue word, and what to watch
      # for.
      class CountSheetPaper < Show
        Print = Formats::Print
        private_constant :Print

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(
            title: [section.name, version_name].compact.join(", "), lines: head, blocks:,
            foot: Shared::Paper.foot(piece.studio, now, piece.title)
          )
        end

        private

        def version_name = kind && I18n.t("versions.#{kind}")

        def head
          where = links.map { |link| I18n.t("papers.link", count: link.index) }.join(", ")
          length = Core::Piece::LengthText.render(section.rows.map(&:counts))
          [[piece.title, taught_by(section), length, where.presence].compact.join(" · "), starting].compact
        end

        # How it starts and how it ends, as far as that is known.
        def starting
          [(I18n.t("papers.starts", how: entry) unless entry.empty?), I18n.t("papers.ends", how: ending.join(", "))]
            .compact.join(" ")
        end

        def blocks
          [*current.rows.each_with_index.map { |row, i| eight_block(row, i) }, *watch_for, *second_time,
           *(pain if hazards.any?)]
        end

        def eight_block(row, index)
          block(drawn.lines[index], walk, index + 1, row, eights[index])
        end

        def block(line, walk, number, row, eight)
          ribbon = Core::Movement::Ribbon.new(line, walk, number, vocabulary:)
          names = (0...line.counts).map { |count| called(line, count) }
          Print::Eight.new(
            number:, where: [(I18n.t("papers.count", count: eight.start) if eight.start), eight.at].compact,
            cue: ("“#{row.cue}”" unless row.cue.empty?), names:, cells: cells(line),
            weight: spans(ribbon, :weight).map { |from, to, foot, supposed| [from, to, foot_word(foot), supposed] },
            facing: spans(ribbon, :facing).map { |from, _, value, supposed| [from, (value unless supposed)] },
            level: levels(ribbon), beside: beside(line, eight)
          )
        end

        def called(line, count) = ((count + line.called - 1) % [line.counts, 8].max) + 1

        # What is danced on each count: [[text, …], …]
        def cells(line)
          placed = line.placed.sort_by(&:at)
          (0...line.counts).map do |count|
            here = placed.select { |move| move.at.clamp(0, line.length - 1) / 12 == count }
            here.map { |move| "#{half(move.at)}#{move.text}" }
          end
        end

        # What is called between two counts.
        def half(at) = { 0 => "", 3 => "e ", 6 => "& " }.fetch(at % 12, "a ")

        # Spans in counts.
        def spans(ribbon, name)
          ribbon.spans(name).map { |from, to, *rest| [from/12r, to/12r, *rest] }
        end

        def foot_word(foot) = %i[left right both].include?(foot) || foot.nil? ? foot : I18n.t("weights.#{foot}")

        def levels(ribbon)
          low = spans(ribbon, :level).reject { |_, _, value, _| value.nil? || value == :standing }
          low.map { |from, to, value, _| [from, to, I18n.t("levels.#{value}")] }
        end

        def beside(line, eight)
          loose = line.loose.map(&:text)
          [
            *eight.said.to_a, (I18n.t("steps.not_set", moves: loose.join(", ")) if loose.any?),
            (I18n.t("steps.kept", words: eight.kept.map { |text| "“#{text}”" }.join(", ")) if eight.kept.any?),
            *eight.groups.map { |own| "#{own.name}: #{own.row.text}" }
          ].compact
        end

        def watch_for
          return [] if corrections.empty?

          items = corrections.map { |each| [each.place, each.text].compact.join(": ") }
          [Print::Heading.new(I18n.t("papers.watch")), Print::Points.new(items)]
        end

        def second_time
          return [] if forks.empty?

          items = forks.map do |fork|
            I18n.t("papers.fork", later: link_name(fork.links.last), first: fork.links.first, eight: fork.row,
                                  at: fork.count.to_i)
          end
          [Print::Heading.new(I18n.t("papers.second_time")), Print::Points.new(items)]
        end

        def pain = [Print::Words.new(text: I18n.t("papers.pain"), small: true)]
      end
    end
  end
end
