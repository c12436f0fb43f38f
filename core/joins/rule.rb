# frozen_string_literal: true

module Core
  module Joins
    # Root of the rules: one thing that must agree over a join. A rule answers a Finding (or nil when it does not apply)
    # and the mends that might do; Examination keeps those that do.
    class Rule
      # Facings, levels and feet in the words that movement text understands.
      FACES = Movement::Lexicon::FACINGS.except("audience", "upstage").invert.freeze
      FOOT = { left: "L", right: "R" }.freeze
      OTHER = { left: :right, right: :left }.freeze

      def initialize(seam, vocabulary: Movement::Vocabulary::DEFAULT)
        @seam = seam
        @vocabulary = vocabulary
      end

      # What the rule finds: a Finding, or nil where it has nothing to say. Each rule has its own.
      def finding = raise(NotImplementedError)

      # [[Mend, Seam with it done], …] to be tried.
      def mends(_finding) = []

      private

      attr_reader :seam

      def leaving = seam.leaving
      def entering = seam.entering

      def found(state, verdict, left, right, **more)
        Finding.new(state:, verdict:, leaving: left, entering: right, counts: seam.counts, **more)
      end

      # :fits, :caution or :clash by the counts there are against those that are comfortable and fast.
      def by_counts(comfortable, fast)
        return :fits if seam.counts >= comfortable

        seam.counts.positive? && seam.counts >= fast ? :caution : :clash
      end

      # What put a value in doubt, for whoever asks: the move's words and its eight.
      def doubted(name)
        return { word: entering.unknown.text, side: :entering } if name == :weight && entering.unknown

        doubt = leaving.doubt(name)
        facts = doubt&.move ? { word: doubt.move.text, unknown: doubt.move.kind == :unknown, side: :leaving } : {}
        open = name == :weight && entering.body.weight.source == :supposed
        open ? { **facts, side: :entering } : facts
      end

      def amend(side) = Amend.new(side)

      # A mend that types into the leaving (or entering) eight.
      def typed(change, side, draft, at: nil, **facts)
        return unless draft

        mend =
          Mend.new(
            change:,
            link: side.place.index,
            row: side.row,
            count: at && ((at / 12) + 1),
            edit: Edit::Row.new(row: side.row, text: draft.text),
            facts:
          )
        other = side.trying(line: draft.line)
        [mend, side.equal?(leaving) ? seam.trying(leaving: other) : seam.trying(entering: other)]
      end

      # A mend that states something of an edge.
      def stated(change, side, edge, values, **facts)
        own = side.mirrored? ? Piece::Danced.turned(values) : values
        mend =
          Mend.new(change:, link: side.place.index, row: side.row, edit: Edit::Stated.new(edge:, values: own), facts:)
        body = side.body.with(**values.transform_values { |value| Movement::Known.stated(value) })
        [mend, edge == :exit ? seam.trying(leaving: side.trying(body:)) : seam.trying(entering: side.trying(body:))]
      end

      # A mend that begins the entering link with counts of nothing; nil where they are more than a line can have.
      def more_counts(counts, **facts)
        return unless counts.between?(1, Piece::Row::MAX)

        mend =
          Mend.new(
            change: :take_counts,
            link: entering.place.index,
            row: 1,
            edit: Edit::Before.new(counts:),
            facts: {
              counts:,
              **facts
            }
          )
        [mend, seam.trying(entering: entering.trying_more(counts))]
      end

      # Position of the last so many counts of the leaving eight; its first count when it is shorter.
      def last_counts(counts) = [leaving.line.length - (counts * 12), 0].max

      def last_count = leaving.line.length - 12
    end
  end
end
