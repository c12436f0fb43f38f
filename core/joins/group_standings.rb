# frozen_string_literal: true

module Core
  module Joins
    # How a join stands for groups that do not dance at it what is taught: they have steps of their own there, hold
    # while the others dance, or are on the other side on one side of it. No mends: those would change what the others
    # dance.
    class GroupStandings
      # group: id; join, seam: as the group dances it; findings: [Finding].
      Standing = Struct.new(:group, :join, :seam, :findings, keyword_init: true) do
        # The worst of its findings.
        def verdict = Finding.worst(findings)

        # [Finding] that do not simply fit.
        def open = findings.reject(&:quiet?)

        # Whether it comes to what others find.
        def same?(others)
          found = others.to_h { |finding| [finding.state, Standing.gist(finding)] }
          findings.all? { |finding| found[finding.state] == Standing.gist(finding) }
        end

        def self.gist(finding) = [finding.verdict, finding.leaving.value, finding.entering.value]
      end
      RULES = [Rules::Weight, Rules::Facing, Rules::Level, Rules::Counts, Rules::Hands].freeze

      def initialize(work, vocabulary: Movement::Vocabulary::DEFAULT)
        @work = work
        @vocabulary = vocabulary
        @rules = RULES & work.checking.rules(RULES)
      end

      # [Standing] of a Join, in order of the piece's groups. bpm: beats a minute there.
      def of(join, bpm: 110)
        sections = [join.leaving, join.entering].map(&:section)
        groups = sections.flat_map(&:apart).uniq
        return [] if groups.empty?

        both = sections.map { |section| section.parts.empty? ? @work.groups.map(&:first) : section.groups }.reduce(:&)
        (both & groups).select { |group| differs?(group, sections) }.map { |group| standing(join, group, bpm) }
      end

      private

      # On the other side where it comes from and where it goes is the same again.
      def differs?(group, sections)
        return true if sections.any? { |section| section.own_rows?(group) }

        sections.map { |section| section.parts.find { |part| part.group == group }&.mirrored || false }.uniq.size > 1
      end

      def standing(join, group, bpm)
        links = [join.leaving, join.entering].map { |placed| placed.link.of_group(group) }
        work = @work.with(sections: [*links.map(&:section).uniq(&:id), *@work.sections], links:)
        own = Sequence.new(work.order).joins.first
        seam = Seam.of(own, Piece::Danced.new(work, vocabulary: @vocabulary), bpm:)
        found = @rules.filter_map { |rule| rule.new(seam, vocabulary: @vocabulary).finding }
        Standing.new(group:, join: own, seam:, findings: found)
      end
    end
  end
end
