# frozen_string_literal: true

module Core
  module Joins
    # All joins of a piece, held against the rules. Joins with the same key whose links are danced alike throughout
    # share what their steps say: the body at an edge comes from the whole link, not from its last eight.
    class Review
      # groups: [GroupStandings::Standing] of those who do not dance there what is taught.
      Held = Struct.new(:join, :seam, :findings, :groups, keyword_init: true) do
        # The worst of its findings, for everybody who dances it, by Finding::VERDICTS.
        def verdict = Finding.worst([*findings, *groups.to_a.flat_map(&:findings)])

        # [Finding] that somebody has to look at.
        def open = findings.reject(&:quiet?)
      end

      # metres: {index of the leaving link => longest way between its spots and the next link's}.
      def initialize(work, vocabulary: Movement::Vocabulary::DEFAULT, danced: Piece::Danced.new(work, vocabulary:),
                     metres: {})
        @work = work
        @vocabulary = vocabulary
        @danced = danced
        @metres = metres
        @sequence = Sequence.new(work.order)
        @known = {}
      end

      # [Held] in running order.
      def joins = @joins ||= @sequence.joins.map { |join| held(join) }

      private

      def held(join)
        bpm = @work.track.map.bpm_at(join.entering.start_beat)
        metres = @metres[join.index]
        alike = [join.key, join.leaving.link.changes, join.entering.link.changes, bpm, metres]
        seam, findings = @known[alike] ||= examine(join, bpm, metres)
        Held.new(join:, seam:, findings: at_home(findings, seam, join), groups: standings(join, bpm, findings))
      end

      def examine(join, bpm, metres)
        seam = Seam.of(join, @danced, bpm:, metres:, others: others(join))
        found = Examination.new(seam, vocabulary: @vocabulary, rules:, steps: @work.checking.steps).findings
        [seam, tried_whole(found, join)]
      end

      # A section straight again is on both sides, and a touch rests on what was before it, which may be in doubt: such
      # mends are tried on the whole piece.
      def tried_whole(findings, join)
        findings.map do |finding|
          kept = finding.mends.select do |mend|
            !(join.loop? || mend.change == :touch_instead) || silent?(finding.state, mend.apply(@work), join)
          end
          kept.size == finding.mends.size ? finding : finding.with(mends: kept)
        end
      end

      def silent?(state, work, join)
        found =
          Examination.new(
            Seam.of(Sequence.new(work.order).after(join.index), Piece::Danced.new(work, vocabulary: @vocabulary)),
            vocabulary: @vocabulary,
            rules:
          ).findings
        found.none? { |finding| finding.state == state && !finding.fits? }
      end

      # Of groups for whom it is another join than for everybody else.
      def standings(join, bpm, findings)
        @standings ||= GroupStandings.new(@work, vocabulary: @vocabulary)
        @standings.of(join, bpm:).reject { |own| own.same?(findings) }
      end

      def rules = @rules ||= @work.checking.rules(Examination::RULES)

      # The same findings at another place: mends name the links there.
      def at_home(findings, seam, join)
        return findings if seam.leaving.place.index == join.index

        places = { seam.leaving.place.index => join.leaving.index, seam.entering.place.index => join.entering.index }
        findings.map do |finding|
          finding.with(mends: finding.mends.map { |mend| mend.with(link: places.fetch(mend.link)) })
        end
      end

      # An altered end or beginning: joins of the same two sections that are danced without it, by index.
      def others(join)
        return [] unless join.own?

        @sequence.joins.select { |each| each.pair == join.pair && each.key != join.key }.map(&:index)
      end
    end
  end
end
