# frozen_string_literal: true

module App
  module Spacing
    module Pages
      # What the checks of the lines find, in words.
      class LineWording
        def initialize(page)
          @page = page
          @groups = page.piece.groups.to_h { |group| [group.id, group.name] }
        end

        def text(finding)
          I18n.t(
            "lines.findings.#{finding.kind}",
            groups: names(finding.groups),
            from: finding.from,
            to: finding.to,
            people: people(finding.people),
            ends: ends(finding.ends),
            count: finding.people&.size.to_i,
            said: finding.kind == :late ? finding.from - 1 : nil
          )
        end

        private

        def names(ids) = list(ids.map { |id| @groups.fetch(id, id) })
        def people(ids) = list(Array(ids).filter_map { |id| @page.people[id]&.name }.first(4))

        def ends(ends)
          list((ends || {}).map { |group, count| I18n.t("lines.ends_on", group: @groups.fetch(group, group), count:) })
        end

        def list(words) = words.size > 1 ? "#{words[0..-2].join(', ')} and #{words.last}" : words.join
      end
    end
  end
end
