# frozen_string_literal: true

module App
  module Joins
    module Pages
      # One join on paper: the two edges side by side, each state beside its counterpart with what would mend it,
      # and what was agreed.
      class JoinPaper < Show
        Print = Formats::Print
        Posted = Struct.new(:name)
        private_constant :Print, :Posted

        # Formats::Print::Sheet
        def paper
          title = I18n.t("papers.join", from: join.leaving.name, to: join.entering.name)
          Print::Sheet.new(title:, lines: head, blocks:, foot: Shared::Paper.foot(piece.studio, now, piece.title))
        end

        # It may hang on a wall.
        def version_line(each)
          VersionWording.new(each, join, work, people.transform_values { |person| Posted.new(posted.of(person)) }).text
        end

        private

        def posted = @posted ||= Shared::PostedNames.new(people.values)

        def head
          whose = owner ? I18n.t("papers.owned", name: owner.name) : I18n.t("papers.owned_by_nobody")
          from = start.music_from.negative? ? I18n.t("music.before") : music_at(start.music_from)
          [[piece.title, I18n.t("papers.join_number", count: index), whose, line(standing)].join(" · "),
           "#{I18n.t('papers.take_it_from', name: start.name, count: start.count)}, #{from}"]
        end

        def music_at(seconds) = I18n.t("music.in_at", at: Formats::Times.tenth(seconds))

        def blocks
          left, right = faces.map { |placed, side, verb| face(placed, side, verb) }
          [Print::Halves.new(left, right), Print::Heading.new(I18n.t("papers.states")), states, *others, *agreed]
        end

        def face(placed, side, verb)
          name = I18n.t("papers.face.#{verb}", name: placed.name)
          counts = edge(side).map { |count, what| [count.to_s, what] }
          columns = Shared::Paper.columns([I18n.t("papers.columns.count"), 16], [taught_by(placed.section).to_s, 84])
          free = loose(side)
          [Print::Heading.new(name), Print::Table.new(columns:, rows: counts, bold: 0),
           *([Print::Words.new(text: I18n.t("steps.not_set", moves: free.join(", ")), small: true)] if free.any?)]
        end

        def states
          rows = held.findings.map do |finding|
            [words.state(finding), words.leaving(finding), words.entering(finding), said_of(finding)]
          end
          columns = [["state", 14], ["ends", 22], ["starts", 22], ["so", 42]]
          Print::Table.new(columns: Shared::Paper.headed(*columns), rows:, bold: 0)
        end

        # How it stands, and what would mend it.
        def said_of(finding)
          mends = finding.mends.map { |mend| words.mend(mend) }
          verdict = I18n.t("papers.verdicts.#{finding.verdict}")
          sentence = finding.fits? ? nil : words.sentence(finding)
          [verdict, sentence, *mends.map { |text| "→ #{text}" }].compact.join("\n")
        end

        def others
          lines = held.groups.map { |own| group_line(own) } + versions.map { |each| version_line(each) }
          lines.empty? ? [] : [Print::Heading.new(I18n.t("papers.others")), Print::Points.new(lines)]
        end

        def agreed
          return [] if history.empty?

          items = history.map do |row|
            words = row.words.empty? ? nil : "“#{row.words}”"
            [I18n.t("joins.kinds.#{row.kind}"), Shared::Dates.day(row.day), row.by_name, words].compact.join(", ")
          end
          [Print::Heading.new(I18n.t("papers.agreed")), Print::Points.new(items)]
        end
      end
    end
  end
end
