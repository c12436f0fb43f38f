# frozen_string_literal: true

module Formats
  # piece-check-1: a piece, walked (docs/formats/piece-check-1.schema.json).
  module PieceCheck
    NAME = "piece-check-1"

    # Core::Piece::Check => JSON text.
    def self.render(check) = JSON.generate(Writer.new(check).to_h)

    # Turns a check into plain objects.
    class Writer
      def initialize(check)
        @check = check
        @order = check.work.order
      end

      def to_h
        { "format" => NAME, "total_counts" => @order.total_counts, "length_seconds" => @order.length_seconds.round(3), "unplaced" => @check.work.unplaced.map { |s| s.id.to_s },
          "music" => music, "links" => @check.links.map { |walked| link(walked) }, "forks" => forks, "walk" => walk }
      end

      private

      def music = @check.music.map { |f| { "kind" => f.kind.to_s, "message" => [f.subject, f.amount].compact.join(" "), "count" => f.count } }

      def link(walked)
        placed = walked.placed
        { "index" => placed.index, "section" => placed.section.id.to_s, "start_count" => placed.start_count, "counts" => placed.counts,
          "start_seconds" => placed.start_seconds.round(3), "entry" => body(walked.entry), "exit" => body(walked.exit) }
      end

      def body(body) = body.to_h.to_h { |name, known| [name.to_s, { "value" => known.value.is_a?(Symbol) ? known.value.to_s : known.value, "source" => known.source.to_s }] }
      def forks = @check.forks.map { |fork| { "section" => fork.section.to_s, "links" => fork.links, "row" => fork.row, "count" => fork.count, "alike" => fork.alike } }

      def walk
        @check.findings.map { |link, f| { "link" => link, "row" => f.row, "count" => f.count, "kind" => f.kind.to_s, "message" => Core::Movement::FindingWriter.text(f) } }
      end
    end
    private_constant :Writer
  end
end
