# frozen_string_literal: true

module Core
  module Joins
    # How a join stands for those who dance versions of its sections. Nobody is judged by steps they do not dance: where
    # somebody seated has no seated line written, it is not known.
    class Versions
      # kinds: [what is danced where it is left, where it is entered] ("taught" or a version's kind); people: ids;
      # verdict: as of a Finding; open: [Finding] that do not simply fit; missing: Piece::Section that has no such line.
      Standing = Struct.new(:kinds, :people, :verdict, :open, :missing, keyword_init: true)
      TAUGHT = "taught"
      SEATED = "seated"

      # versions: {section id => {kind => Piece::Version}}; dancers: {person => {section id, or nil for all => kind}}.
      def initialize(work, versions:, dancers:, vocabulary: Movement::Vocabulary::DEFAULT)
        @work = work
        @versions = versions
        @dancers = dancers
        @vocabulary = vocabulary
      end

      # [Standing] of a Join, for each pair of kinds that somebody dances; none where all dance it as taught.
      def of(join)
        sides = [join.leaving, join.entering].map(&:section)
        people = @dancers.keys.group_by { |person| sides.map { |section| kind(person, section) } }
        people.except([TAUGHT, TAUGHT]).map { |kinds, who| standing(join, kinds, who) }
      end

      private

      # What a person dances of a section: a version only where it is written, or where nothing else could be danced.
      def kind(person, section)
        chosen = @dancers.fetch(person)
        wanted = chosen[section.id] || chosen[nil] or return TAUGHT
        written?(section, wanted) || wanted == SEATED ? wanted : TAUGHT
      end

      def written?(section, kind) = @versions.fetch(section.id, {}).key?(kind)

      def standing(join, kinds, people)
        missing = [join.leaving, join.entering].zip(kinds).find { |placed, kind| unwritten?(placed, kind) }
        section = missing&.first&.section
        return Standing.new(kinds:, people:, verdict: :question, open: [], missing: section) if section

        held = held(join, kinds)
        Standing.new(kinds:, people:, verdict: held.verdict, open: held.open)
      end

      # Nothing is written for whoever sits: no version, or a repeat with changes that are danced standing.
      def unwritten?(placed, kind)
        kind == SEATED && (!written?(placed.section, kind) || placed.link.altered?)
      end

      def held(join, kinds)
        links = [join.leaving, join.entering].zip(kinds).map { |placed, kind| in_version(placed.link, kind) }
        pair = @work.with(sections: links.map(&:section).uniq(&:id), links:)
        Review.new(pair, vocabulary: @vocabulary).joins.first
      end

      # The link as it is danced there; sections of a loop are told apart by what is danced.
      def in_version(link, kind)
        return link if kind == TAUGHT

        section = @versions.fetch(link.section.id).fetch(kind).of(link.section)
        link.with(section: section.with(id: "#{section.id}-#{kind}"))
      end
    end
  end
end
