# frozen_string_literal: true

module Core
  module Piece
    # Eights that would be read otherwise with other words: the same text, another move, or a move that is done
    # otherwise. before, after: Movement::Vocabulary.
    #
    #   Rereading.new(work, before: Movement::Vocabulary::DEFAULT, after: own).all  # => [Changed, …]
    class Rereading
      # section: Section; eight: its number; text: as typed.
      Changed = Struct.new(:section, :eight, :text)

      # versions: {section id => [Version]} of the work, whose eights are read too.
      def initialize(work, before:, after:, versions: {})
        @work = work
        @versions = versions
        @before = before
        @after = after
      end

      # [Changed] of sections as taught, of repeats danced with changes, and of versions; each text once.
      def all
        taught = @work.sections.flat_map { |section| differing(section) }
        repeats = @work.links.select(&:altered?).flat_map { |link| differing(repeat(link)) }
        versions = @work.sections.flat_map { |section| own_versions(section).flat_map { |each| differing(each) } }
        (taught + repeats + versions).uniq { |each| [each.section.id, each.text] }
      end

      private

      def repeat(link) = link.section.with(rows: link.danced.map(&:row))
      def own_versions(section) = @versions.fetch(section.id, []).map { |version| version.of(section) }

      def differing(section)
        pairs = [@before, @after].map { |words| read(section, words) }.transpose
        section.rows.zip(pairs).each_with_index.filter_map do |(row, (before, after)), i|
          Changed.new(section, i + 1, row.text) unless before == after
        end
      end

      # What every eight says, each move with what its step is.
      def read(section, words)
        Danced.new(@work, vocabulary: words).lines(section).map do |line|
          line.moves.map { |move| [move.meaning, (words.find(move.step)&.with(aliases: []) if move.step)] }
        end
      end
    end
  end
end
