# frozen_string_literal: true

module Formats
  module PieceCheck
    # Turns a check, its joins and its lines into plain objects.
    class Writer
      def initialize(check, review, lines, say:)
        @check = check
        @review = review
        @lines = lines
        @order = check.work.order
        @names = Core::Joins::MendWriter.new(check.work, say:)
        @findings = Core::Movement::FindingWriter.new(say:)
      end

      def to_h
        {
          "format" => NAME,
          "total_counts" => @order.total_counts,
          "length_seconds" => @order.length_seconds.round(3),
          "unplaced" => @check.work.unplaced.map { |s| s.id.to_s },
          "music" => music,
          "links" => @check.links.map { |walked| link(walked) },
          "joins" => joins,
          "forks" => forks,
          "walk" => walk,
          "lanes" => lanes
        }
      end

      private

      def music
        @check.music.map do |f|
          { "kind" => f.kind.to_s, "message" => [f.subject, f.amount].compact.join(" "), "count" => f.count }
        end
      end

      def link(walked)
        placed = walked.placed
        {
          "index" => placed.index,
          "section" => placed.section.id.to_s,
          "start_count" => placed.start_count,
          "counts" => placed.counts,
          "start_seconds" => placed.start_seconds.round(3),
          "entry" => body(walked.entry),
          "exit" => body(walked.exit)
        }
      end

      def body(body) = body.to_h.to_h { |name, known| [name.to_s, known(known)] }

      def known(known)
        { "value" => known.value.is_a?(Symbol) ? known.value.to_s : known.value, "source" => known.source.to_s }
      end

      def joins
        @review.joins.map do |held|
          {
            "index" => held.join.index,
            "same_as" => (held.join.first_index if held.join.repeat?),
            "verdict" => held.verdict.to_s,
            "findings" => held.findings.map { |f| finding(f) },
            **groups(held)
          }
        end
      end

      # Groups that do not dance there what the others do; nothing where there are none.
      def groups(held)
        return {} if held.groups.empty?

        own = held.groups.map do |each|
          {
            "group" => each.group.to_s,
            "verdict" => each.verdict.to_s,
            "findings" => each.findings.map { |f| finding(f) }
          }
        end
        { "groups" => own }
      end

      def finding(found)
        {
          "state" => found.state.to_s,
          "verdict" => found.verdict.to_s,
          "leaving" => known(found.leaving),
          "entering" => known(found.entering),
          "counts_available" => found.counts.to_f.round(3),
          "mends" => found.mends.map { |mend| mend(mend) }
        }
      end

      def mend(mend)
        {
          "change" => mend.change.to_s,
          "link" => mend.link,
          "row" => mend.row,
          "count" => mend.count,
          "text" => @names.text(mend)
        }
      end

      def forks
        @check.forks.map do |fork|
          {
            "section" => fork.section.to_s,
            "links" => fork.links,
            "row" => fork.row,
            "count" => fork.count,
            "alike" => fork.alike
          }
        end
      end

      def walk
        @check.findings.map do |link, f|
          {
            "link" => link,
            "row" => f.row,
            "count" => f.count,
            "kind" => f.kind.to_s,
            "message" => @findings.text(f)
          }
        end
      end

      def lanes
        @order.links.flat_map do |placed|
          @lines.lanes(placed.index).all
            .map do |lane|
              {
                "link" => placed.index,
                "group" => lane.group.to_s,
                "from_count" => lane.from,
                "to_count" => lane.to,
                "doing" => lane.doing.to_s
              }
            end
        end
      end
    end
    private_constant :Writer
  end
end
