# frozen_string_literal: true

require "did_you_mean"

module Core
  module Piece
    # Reads a piece from lines as a director lists it:
    #
    #   Overwinter, 6 eights, Odalys
    #   then two eights of Mirela's waggle line
    #   waggle line again, other side
    #   costumes by Friday pls
    #
    # Nothing is refused: every line becomes links, a remark, an order, or waits for an answer. Answers a Structure:
    # sections (in order of first mention), links (each with the section's position), findings, and for every line what
    # became of it. teachers and lengths: what the studio and the piece know already; bpm: beats a minute for times.
    class StructureReader
      MAX_LINES = 300
      MAX_LINE = 300
      MAX_NAME = 60
      MAX_PERSON = 80
      # rows: counts of each eight, [] where nobody knows; open: how its length was said then; teacher: its owner;
      # others: who teaches it too; strangers: names said to teach it whom the studio does not have; notes: remarks.
      Sketch = Struct.new(
        :name, :rows, :open, :teacher, :others, :strangers, :known, :notes, :line, keyword_init: true
      ) do
        # Counts of a link of it, of all or of a stretch [first, last]; nil where nobody knows.
        def counts(only = nil)
          return if rows.empty?

          only ? rows[(only.first - 1)..(only.last - 1)].to_a.sum : rows.sum
        end

        # The same, to be changed apart.
        def copy = dup.tap { |same| same.notes = notes.dup }
      end
      # changed: eights danced otherwise; only: [first, last] eight, or nil; called: a name of its own, or "".
      SketchLink = Struct.new(
        :section, :mirrored, :changed, :altered, :only, :called, :teachers, :line, keyword_init: true
      )
      # ways: how an unclear line may have been meant: [[label, {line => text}], …].
      Finding = Struct.new(:line, :kind, :subject, :hint, :ways, keyword_init: true)
      # What became of a line. links: its links; note: words kept as a remark, or nil; order: whether it moved others.
      Account = Struct.new(:line, :links, :note, :order, keyword_init: true)

      # A name as it is compared.
      def self.fold(name)
        name.to_s.unicode_normalize(:nfkc).downcase.gsub(/\s+/, " ").strip.delete_suffix(".")
      end

      def initialize(text, teachers: [], lengths: {}, bpm: nil)
        @typed = text.to_s.scrub("?").lines.map(&:chomp)
        @teachers = teachers
        @lengths = lengths
        @bpm = bpm
      end

      # The Structure that the lines say.
      def structure = Listing::Reading.new(@typed, teachers: @teachers, lengths: @lengths, bpm: @bpm).structure
    end
  end
end
